<?php

declare(strict_types=1);

namespace App\Reading;

use App\Data\BreadthData;
use App\Data\GroupData;
use App\Market\BarRepository;
use App\Models\Instrument;
use Watchpost\Core\Indicators\RollingReturn;
use Watchpost\Core\Market\InstrumentKind;
use Watchpost\Core\Scanning\Breadth;
use Watchpost\Core\Scanning\PercentileRank;

/** Who takes part in the market: its shares all together, and by groups. */
final readonly class Participation
{
    public const HORIZONS = [5, 21, 63, 126];
    private const RANKED = 126;
    private const SESSIONS = 620;
    private const SHOWN = 120;

    /** @var array<string, array<string, float>> closes by symbol and date */
    private array $closes;

    /** @var array<string, string> group by symbol */
    private array $groups;

    public function __construct(BarRepository $bars)
    {
        $shares = Instrument::query()->where('kind', InstrumentKind::Share)->orderBy('symbol')->get();
        $this->closes = $bars->closes(array_values($shares->all()), self::SESSIONS);
        /** @var array<string, string> $groups */
        $groups = $shares->pluck('group', 'symbol')->all();
        $this->groups = $groups;
    }

    public function breadth(): ?BreadthData
    {
        $breadth = Breadth::of($this->closes);
        $last = count($breadth->dates) - 1;
        if ($last < 0) {
            return null;
        }
        /** @param list<float|null> $column */
        $shown = static fn (array $column): array => array_values(array_filter(array_slice($column, -self::SHOWN), static fn (?float $value): bool => $value !== null));

        return new BreadthData(
            $breadth->dates[$last],
            count($this->closes),
            $breadth->advancers[$last],
            $breadth->decliners[$last],
            $breadth->newHighs[$last],
            $breadth->newLows[$last],
            $breadth->above50[$last],
            $breadth->above200[$last],
            $breadth->oscillator[$last],
            $breadth->sum[$last],
            $shown($breadth->sum),
            $shown($breadth->above50),
        );
    }

    /** @return list<GroupData> the strongest over 126 sessions first */
    public function groups(): array
    {
        $members = [];
        foreach ($this->groups as $symbol => $group) {
            $close = array_values($this->closes[$symbol] ?? []);
            if (count($close) > 1) {
                $members[$group][$symbol] = $close;
            }
        }
        $means = array_map(fn (array $closes): array => array_map(fn (int $n): ?float => self::mean(array_map(fn (array $close): ?float => self::return($close, $n), $closes)), self::HORIZONS), $members);
        $ranks = PercentileRank::of(array_map(static fn (array $returns): ?float => $returns[count(self::HORIZONS) - 1], $means));
        $groups = [];
        foreach ($members as $name => $closes) {
            $strength = array_filter(array_map(fn (array $close): ?float => self::return($close, self::RANKED), $closes), static fn (?float $value): bool => $value !== null);
            arsort($strength);
            $leader = array_key_first($strength);
            $groups[] = new GroupData(
                $name,
                count($closes),
                count(array_filter($closes, static fn (array $close): bool => $close[count($close) - 1] > $close[count($close) - 2])),
                $means[$name],
                $ranks[$name],
                $leader,
                $leader === null ? null : $strength[$leader],
            );
        }
        usort($groups, static fn (GroupData $a, GroupData $b): int => [$b->rank ?? -1, $a->name] <=> [$a->rank ?? -1, $b->name]);

        return $groups;
    }

    /** Percentile of a share's 126-session return among all shares; null without one. */
    public function rank(string $symbol): ?float
    {
        return PercentileRank::of(array_map(fn (array $closes): ?float => self::return(array_values($closes), self::RANKED), $this->closes))[$symbol] ?? null;
    }

    /** @param list<float> $close */
    private static function return(array $close, int $sessions): ?float
    {
        $tail = array_slice($close, -$sessions - 1);
        $returns = count($tail) <= $sessions ? [] : RollingReturn::of($tail, $sessions);

        return $returns === [] ? null : $returns[count($returns) - 1];
    }

    /** @param array<string, float|null> $values */
    private static function mean(array $values): ?float
    {
        $known = array_filter($values, static fn (?float $value): bool => $value !== null);

        return $known === [] ? null : array_sum($known) / count($known);
    }
}
