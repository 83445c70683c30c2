<?php

declare(strict_types=1);

namespace App\Planning;

use App\Models\Candidate;
use App\Models\Level;
use App\Models\Plan;
use App\Models\Setup;
use Illuminate\Support\Facades\DB;

/**
 * All of a plan's draft that undo can bring back: its line of bias, its texts, its candidates with their setups, and the
 * author's levels on the instruments among them.
 *
 * @phpstan-import-type PartState from PlanParts
 *
 * @phpstan-type Snapshot array{
 *     bias: string, parts: list<PartState>, candidates: list<array<string, mixed>>, setups: list<array<string, mixed>>,
 *     levels: list<array<string, mixed>>, instruments: list<int>
 * }
 */
final class PlanSnapshot
{
    /**
     * @param list<int> $instrumentIds instruments beyond the plan's own whose levels matter
     *
     * @return Snapshot
     */
    public static function take(Plan $plan, array $instrumentIds = []): array
    {
        $candidates = DB::table('candidates')->where('plan_id', $plan->id)->orderBy('id')->get();
        /** @var list<int> $instruments */
        $instruments = $candidates->pluck('instrument_id')->merge($instrumentIds)->unique()->sort()->values()->all();

        return [
            'bias' => $plan->bias,
            'parts' => $plan->parts,
            'candidates' => self::rows($candidates->all()),
            'setups' => self::rows(DB::table('setups')->whereIn('candidate_id', $candidates->pluck('id'))->orderBy('id')->get()->all()),
            'levels' => self::rows(DB::table('levels')->where('author_id', $plan->author_id)->whereIn('instrument_id', $instruments)->orderBy('id')->get()->all()),
            'instruments' => $instruments,
        ];
    }

    /**
     * Bring a plan from one snapshot to another. Levels live across plans, and price and other plans may have changed
     * some of them since: only those that differ between the two are touched.
     *
     * @param Snapshot $from
     * @param Snapshot $to
     */
    public static function restore(Plan $plan, array $from, array $to): void
    {
        $plan->update(['bias' => $to['bias'], 'parts' => $to['parts']]);
        Setup::query()->whereIn('candidate_id', $plan->candidates()->pluck('id'))->delete();
        Candidate::query()->where('plan_id', $plan->id)->delete();
        Level::query()->whereKey(self::changedLevels($from, $to))->delete();
        DB::table('candidates')->insert($to['candidates']);
        DB::table('setups')->insert($to['setups']);
        $changed = self::changedLevels($from, $to);
        DB::table('levels')->insert(array_values(array_filter($to['levels'], static fn (array $row): bool => in_array($row['id'], $changed, true))));
    }

    /**
     * @param Snapshot $from
     * @param Snapshot $to
     *
     * @return list<int>
     */
    public static function changedLevels(array $from, array $to): array
    {
        $before = array_column($from['levels'], null, 'id');
        $after = array_column($to['levels'], null, 'id');
        /** @var list<int> */
        return array_values(array_filter(
            array_keys($before + $after),
            static fn (int|string $id): bool => ($before[$id] ?? null) !== ($after[$id] ?? null),
        ));
    }

    /**
     * @param array<int, object> $rows
     *
     * @return list<array<string, mixed>>
     */
    private static function rows(array $rows): array
    {
        return array_map(static fn (object $row): array => get_object_vars($row), array_values($rows));
    }
}
