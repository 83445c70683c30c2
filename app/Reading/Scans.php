<?php

declare(strict_types=1);

namespace App\Reading;

use App\Data\InstrumentData;
use App\Data\ScanHitData;
use App\Market\BarRepository;
use App\Models\Instrument;
use App\Models\Plan;
use Watchpost\Core\Scanning\Scan;

/** Puts the question of a scan to everything that is traded, and tells what answers it, the strongest first. */
final readonly class Scans
{
    public const MOST_SESSIONS = 252;
    private const MOST = 25;
    private const SHOWN = 60;

    public function __construct(private BarRepository $bars, private CandidateFacts $facts)
    {
    }

    /** @return list<ScanHitData> */
    public function run(Scan $scan, int $sessions, Plan $plan): array
    {
        $found = [];
        foreach (Instrument::query()->orderBy('symbol')->get()->filter->isTraded() as $instrument) {
            $days = $this->bars->days($instrument, max($sessions + 2, self::SHOWN));
            $value = $scan->of($days, $sessions);
            if ($value !== null) {
                $found[] = [$value, $instrument, $days];
            }
        }
        usort($found, static fn (array $a, array $b): int => $b[0] <=> $a[0]);
        /** @var array<int, int> $listed */
        $listed = $plan->candidates()->pluck('instrument_id', 'instrument_id')->all();

        return array_map(fn (array $hit): ScanHitData => new ScanHitData(
            InstrumentData::of($hit[1]),
            self::value($scan, $hit[0]),
            self::what($scan, $sessions).', '.self::value($scan, $hit[0]),
            $hit[2]->lastClose() === null ? null : $hit[2]->grid->format($hit[2]->lastClose()),
            $this->facts->brief($hit[1], $plan->author),
            array_slice($hit[2]->closes(), -self::SHOWN),
            isset($listed[$hit[1]->id]),
        ), array_slice($found, 0, self::MOST));
    }

    private static function what(Scan $scan, int $sessions): string
    {
        return match ($scan) {
            Scan::NewHigh => "{$sessions}-session high",
            Scan::NewLow => "{$sessions}-session low",
            Scan::CrossedAbove => "crossed above its SMA {$sessions}",
            Scan::CrossedBelow => "crossed below its SMA {$sessions}",
            Scan::Risen => "risen over {$sessions} sessions",
            Scan::Fallen => "fallen over {$sessions} sessions",
            Scan::Volume => "volume over that of {$sessions} sessions",
        };
    }

    private static function value(Scan $scan, float $value): string
    {
        $sign = in_array($scan, [Scan::NewLow, Scan::CrossedBelow, Scan::Fallen], true) ? '−' : '+';

        return $scan === Scan::Volume ? number_format($value, 1).' ×' : $sign.number_format($value, 1).' %';
    }
}
