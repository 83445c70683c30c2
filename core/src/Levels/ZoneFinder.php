<?php

declare(strict_types=1);

namespace Watchpost\Core\Levels;

use Watchpost\Core\Indicators\RelativeVolume;
use Watchpost\Core\Market\TimeFrame;

/** Horizontal zones at which price has turned. */
final readonly class ZoneFinder implements LevelFinder
{
    private const BARS = 500;
    private const HALF_LIFE = 120;
    private const WIDTH = 0.6;
    private const BEYOND = 0.1;
    private const ROLE_CHANGE = 0.5;
    private const MAJOR_SHARE = 0.25;
    private const MAJOR_HELD = 3;
    private const MAJOR_RATE = 2 / 3;
    private const VOLUME_PERIOD = 20;

    public function kinds(): array
    {
        return [LevelKind::Zone];
    }

    /**
     * Prominent swings of the last 500 bars, weighted by recency (half-life 120 bars) and relative volume (0.5 to 2),
     * sorted by price and merged while the zone stays narrower than 0.6 ATR; price = weighted median, edges = extreme
     * members. score = sum of weights x (held + 1) / (held + broken + 2) + 0.5 for each role change that held, that is,
     * which the next visit did not break. Major on the day chart and below: the top quarter by score, if it held at least
     * three times and in two of three visits; on larger charts: all. Best score first.
     *
     * Unit: prices in units of the grid. Source: computations.md, Levels 1.
     */
    public function find(LevelInput $input): array
    {
        $zones = [];
        foreach ($this->clusters($this->members($input), $input) as $members) {
            $zones[] = $this->zone($members, $input);
        }
        usort($zones, static fn (FoundLevel $a, FoundLevel $b): int => $b->score <=> $a->score);
        $top = (int) ceil(count($zones) * self::MAJOR_SHARE);

        return array_map(fn (FoundLevel $zone, int $place): FoundLevel => $this->graded($zone, $place < $top, $input), $zones, array_keys($zones));
    }

    /** @return list<array{price: int, weight: float, index: int}> by price */
    private function members(LevelInput $input): array
    {
        $volume = RelativeVolume::of($input->volumes, self::VOLUME_PERIOD);
        $members = [];
        foreach (Swings::prominent($input->highs, $input->lows, $input->atr) as $swing) {
            $age = $input->last - $swing->index;
            if ($age < self::BARS) {
                $crowd = max(0.5, min(2.0, $volume[$swing->index] ?? 1.0));
                $members[] = ['price' => (int) $swing->price, 'weight' => 0.5 ** ($age / self::HALF_LIFE) * $crowd, 'index' => $swing->index];
            }
        }
        usort($members, static fn (array $a, array $b): int => [$a['price'], $a['index']] <=> [$b['price'], $b['index']]);

        return $members;
    }

    /**
     * @param list<array{price: int, weight: float, index: int}> $members by price
     *
     * @return list<non-empty-list<array{price: int, weight: float, index: int}>>
     */
    private function clusters(array $members, LevelInput $input): array
    {
        $clusters = [];
        $cluster = [];
        foreach ($members as $member) {
            if ($cluster !== [] && $member['price'] - $cluster[0]['price'] >= self::WIDTH * $input->range) {
                $clusters[] = $cluster;
                $cluster = [];
            }
            $cluster[] = $member;
        }

        return $cluster === [] ? $clusters : [...$clusters, $cluster];
    }

    /** @param non-empty-list<array{price: int, weight: float, index: int}> $members by price */
    private function zone(array $members, LevelInput $input): FoundLevel
    {
        $low = $members[0]['price'];
        $high = $members[count($members) - 1]['price'];
        $first = min(array_column($members, 'index'));
        $touches = (new TouchWalk(Band::flat($low, $high, $input->last + 1), self::BEYOND * $input->range))->walk($input->series, $first + 1);
        $held = $broken = $changed = 0;
        foreach ($touches as $i => $touch) {
            $held += $touch->kind === TouchKind::Broke ? 0 : 1;
            $broken += $touch->kind === TouchKind::Broke ? 1 : 0;
            // one that the very next visit broke did not hold: price that goes to and fro through a zone earns nothing
            $changed += $touch->kind === TouchKind::RoleChange && ($touches[$i + 1] ?? null)?->kind !== TouchKind::Broke ? 1 : 0;
        }
        $weight = array_sum(array_column($members, 'weight'));
        $count = count($members) === 1 ? 'one swing' : count($members).' swings';
        $visits = $held + $broken;
        $did = $visits === 0 ? 'not visited since' : "held {$held} of {$visits} ".($visits === 1 ? 'visit' : 'visits');

        return new FoundLevel(
            LevelKind::Zone,
            $low,
            $this->median($members, $weight),
            $high,
            Grade::Minor,
            $weight * ($held + 1) / ($held + $broken + 2) + self::ROLE_CHANGE * $changed,
            "{$did}, {$count}".($changed > 0 ? ', role changed' : ''),
            $touches,
            ['held' => $held, 'broken' => $broken, 'members' => array_values(array_map(static fn (array $member): string => "{$input->series->session[$member['index']]} {$input->series->grid->format($member['price'])}", $members))],
        );
    }

    /** @param non-empty-list<array{price: int, weight: float, index: int}> $members by price */
    private function median(array $members, float $weight): int
    {
        $sum = 0.0;
        foreach ($members as $member) {
            $sum += $member['weight'];
            if ($sum >= $weight / 2) {
                return $member['price'];
            }
        }

        return $members[count($members) - 1]['price'];
    }

    private function graded(FoundLevel $zone, bool $isTop, LevelInput $input): FoundLevel
    {
        $held = (int) ($zone->details['held'] ?? 0);
        $broken = (int) ($zone->details['broken'] ?? 0);
        $isLarger = TimeFrame::Day->isFinerThan($input->series->timeFrame);
        $isMajor = $isLarger || ($isTop && $held >= self::MAJOR_HELD && $held >= self::MAJOR_RATE * ($held + $broken));

        return $isMajor ? new FoundLevel($zone->kind, $zone->low, $zone->price, $zone->high, Grade::Major, $zone->score, $zone->origin, $zone->touches, $zone->details) : $zone;
    }
}
