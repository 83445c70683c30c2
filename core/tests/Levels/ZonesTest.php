<?php

declare(strict_types=1);

namespace Watchpost\Core\Tests\Levels;

use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Watchpost\Core\Levels\FoundLevel;
use Watchpost\Core\Levels\Grade;
use Watchpost\Core\Levels\LevelInput;
use Watchpost\Core\Levels\Swings;
use Watchpost\Core\Levels\TouchKind;
use Watchpost\Core\Levels\ZoneFinder;
use Watchpost\Core\Market\Series;
use Watchpost\Core\Market\TimeFrame;

/** Zones: what is there is found, and little else is claimed. */
final class ZonesTest extends TestCase
{
    private const BARRIERS = [9_300, 9_750, 10_250, 10_800];

    public function testNearlyAllBarriersAreFoundAndStandBeforeChanceLevels(): void
    {
        $met = $found = $before = 0;
        foreach (range(101, 120) as $seed) {
            $input = Bars::input(Bars::walk($seed, 500, self::BARRIERS));
            $zones = self::listed($input);
            $wanted = array_values(array_filter(self::BARRIERS, static fn (int $barrier): bool => self::meetings($input, $barrier) >= 3));
            $ranks = array_filter(array_map(static fn (int $barrier): ?int => self::rank($zones, $barrier, $input), $wanted), is_int(...));
            $met += count($wanted);
            $found += count($ranks);
            // two chance levels may stand among them
            $before += count(array_filter($ranks, static fn (int $rank): bool => $rank < count($wanted) + 2));
        }

        self::assertGreaterThan(50, $met);
        self::assertGreaterThanOrEqual(0.9, $found / $met, "{$found} of {$met} barriers found");
        self::assertGreaterThanOrEqual(0.8, $before / $met, "{$before} of {$met} barriers stand first");
    }

    public function testTheBestZoneOfASeriesWithBarriersIsNearlyAlwaysOneOfThem(): void
    {
        $right = 0;
        foreach (range(201, 220) as $seed) {
            $input = Bars::input(Bars::walk($seed, 500, self::BARRIERS));
            $best = self::listed($input)[0];
            $right += min(array_map(static fn (int $barrier): int => abs($best->price - $barrier), self::BARRIERS)) <= 0.5 * $input->range ? 1 : 0;
        }

        self::assertGreaterThanOrEqual(17, $right);
    }

    public function testARandomWalkIsClaimedToHaveFewMajorLevels(): void
    {
        $zones = $majors = 0;
        foreach (range(1, 20) as $seed) {
            $found = (new ZoneFinder())->find(Bars::input(Bars::walk($seed, 500)));
            $zones += count($found);
            $majors += count(array_filter($found, static fn (FoundLevel $zone): bool => $zone->grade === Grade::Major));
        }

        self::assertGreaterThan(200, $zones);
        self::assertLessThan(0.1, $majors / $zones, "{$majors} of {$zones}");
    }

    public function testAScoreIsTheWeightTimesHowOftenItHeld(): void
    {
        // one top at 1100 of bar 20, tested once by bar 30 and not beyond
        $closes = [...array_fill(0, 18, 1_000), 1_040, 1_070, 1_090, 1_060, 1_030, 1_000, 990, 990, 1_000, 1_030, 1_060, 1_080, 1_095, 1_050, 1_000, 1_000, 1_000, 1_000, 1_000];
        $bars = Bars::through($closes);
        $bars[21] = [1_090, 1_095, 1_050, 1_060];
        $bars[30] = [1_080, 1_100, 1_070, 1_075];
        $bars[31] = [1_075, 1_080, 1_040, 1_050];
        $input = Bars::input($bars);
        $tops = array_values(array_filter((new ZoneFinder())->find($input), static fn (FoundLevel $zone): bool => $zone->high === 1_100));

        self::assertCount(1, $tops);
        self::assertSame([[$input->series->session[30], TouchKind::Held]], array_map(static fn ($touch): array => [$touch->session, $touch->kind], $tops[0]->touches));
        // two swings of ages 16 and 6 at usual volume: the first of equals is at bar 20
        $members = array_filter(Swings::prominent($input->highs, $input->lows, $input->atr), static fn ($swing): bool => $swing->isHigh && $swing->price >= 1_095.0);
        $weight = array_sum(array_map(static fn ($swing): float => 0.5 ** (($input->last - $swing->index) / 120), $members));
        self::assertEqualsWithDelta($weight * 2 / 3, $tops[0]->score, 1e-9);
    }

    /**  */
    #[DataProvider('widths')]
    public function testSwingsAreMergedWhileTheZoneStaysNarrow(int $apart, int $zones): void
    {
        // two bottoms, 14.85 and so much lower, in a series whose usual range is about 0.60 (edge-cases.md, T50)
        $closes = [1_600, 1_640, 1_600, 1_640, 1_600, 1_640];
        foreach ([1_500, 1_500 - $apart] as $bottom) {
            array_push($closes, 1_620, 1_600, 1_640, 1_600, 1_640, 1_600, 1_640, 1_600, 1_570, 1_530, $bottom, 1_530, 1_570, 1_600, 1_640, 1_600);
        }
        $input = Bars::input(Bars::through([...$closes, 1_640, 1_600, 1_640], 10));
        $found = array_filter((new ZoneFinder())->find($input), static fn (FoundLevel $zone): bool => $zone->price < 1_495);

        self::assertCount($zones, $found, "usual range {$input->range}");
        self::assertSame(2, array_sum(array_map(static fn (FoundLevel $zone): int => count((array) $zone->details['members']), $found)), 'both are kept');
    }

    /** @return iterable<string, array{int, int}> */
    public static function widths(): iterable
    {
        yield 'near' => [6, 1];
        yield 'far' => [60, 2];
    }

    public function testZonesOfLargerChartsAreMajor(): void
    {
        $day = Bars::series(Bars::walk(3, 300));
        $series = new Series($day->grid, TimeFrame::Week, $day->start, $day->session, $day->open, $day->high, $day->low, $day->close, $day->volume);
        $grades = array_unique(array_map(static fn (FoundLevel $zone): string => $zone->grade->value, (new ZoneFinder())->find(new LevelInput($series, $day->session[299]))));

        self::assertSame(['major'], $grades);
    }

    /** @return list<FoundLevel> */
    private static function listed(LevelInput $input): array
    {
        return array_slice(array_values(array_filter((new ZoneFinder())->find($input), static fn (FoundLevel $zone): bool => $zone->isWithin(8.0, $input))), 0, 12);
    }

    /** How often price came to a barrier near the last close from some way off. */
    private static function meetings(LevelInput $input, int $barrier): int
    {
        if ($input->away($barrier) > 8.0) {
            return 0;
        }
        $count = 0;
        $isNear = true;
        foreach ($input->closes as $i => $close) {
            $touches = $input->lows[$i] <= $barrier + 12 && $input->highs[$i] >= $barrier - 12;
            $count += $touches && ! $isNear ? 1 : 0;
            $isNear = $touches || ($isNear && abs($close - $barrier) < $input->range);
        }

        return $count;
    }

    /** @param list<FoundLevel> $zones */
    private static function rank(array $zones, int $barrier, LevelInput $input): ?int
    {
        foreach ($zones as $i => $zone) {
            if (abs($zone->price - $barrier) <= 0.5 * $input->range) {
                return $i;
            }
        }

        return null;
    }
}
