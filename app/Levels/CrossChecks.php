<?php

declare(strict_types=1);

namespace App\Levels;

use App\Clock\MarketClock;
use App\Enums\AverageKind;
use App\Market\AverageSetting;
use App\Market\BarRepository;
use App\Market\Calendars;
use App\Market\ChartSettings;
use App\Market\MarketState;
use App\Models\Instrument;
use App\Models\User;
use Illuminate\Contracts\Cache\Repository;
use Watchpost\Core\Levels\Confluence;
use Watchpost\Core\Levels\CrossCheck;
use Watchpost\Core\Levels\FoundLevel;
use Watchpost\Core\Levels\LevelInput;
use Watchpost\Core\Levels\LevelKind;
use Watchpost\Core\Market\BarBuilder;
use Watchpost\Core\Market\SessionBook;
use Watchpost\Core\Market\TimeFrame;

/**
 * The cross-check of an instrument on an evening: everything on day bars; zones and lines also on the chart in view, if
 * it is a smaller one, and on week and month charts. Kept until the market moves on.
 */
final readonly class CrossChecks
{
    private const DAYS = 3_200;
    private const BARS = 620;
    private const KEPT_FOR = 86_400;
    /** Of a chart that is not the one in view. */
    private const MOST_OF_OTHERS = 5;
    private const LINES_OF_OTHERS = 2;
    private const OF_DAYS = [LevelKind::Zone, LevelKind::Period, LevelKind::Gap, LevelKind::Pivot, LevelKind::Retracement, LevelKind::Projection, LevelKind::Line, LevelKind::Average, LevelKind::Round, LevelKind::ExpectedRange];
    /** What larger charts add, and what charts within the session do. */
    private const SHAPES = [LevelKind::Zone, LevelKind::Line];
    private const OF_SESSIONS = [LevelKind::Zone, LevelKind::Line, LevelKind::Average];
    /** Those that join with others; a moving level joins too. */
    private const JOINED = [LevelKind::Zone, LevelKind::Period, LevelKind::Gap, LevelKind::Retracement, LevelKind::Projection, LevelKind::Line, LevelKind::Average, LevelKind::Round];

    public function __construct(private BarRepository $bars, private MarketClock $clock, private Calendars $calendars, private MarketState $state, private Repository $cache)
    {
    }

    /**
     * @param string|null $asOf the evening asked for, if not the present one: nothing later is known
     *
     * @return list<Check> the highest first
     */
    public function of(Instrument $instrument, User $author, TimeFrame $shown, ?string $asOf = null): array
    {
        $settings = ChartSettings::of($author);
        $averages = array_map(static fn (AverageSetting $one): array => [$one->kind === AverageKind::Exponential ? 'ema' : 'sma', $one->period], $settings->averages);
        // days first: their usual range tells how near the others must be
        $frames = [TimeFrame::Day, ...($shown->isFinerThan(TimeFrame::Day) ? [$shown] : []), TimeFrame::Week, TimeFrame::Month];
        $key = 'levels.'.md5(serialize([$instrument->id, $averages, $shown, $asOf, $this->state->key()]));

        /** @var list<Check> */
        return $this->cache->remember($key, self::KEPT_FOR, fn (): array => $this->compute($instrument, $averages, $frames, $shown, $asOf));
    }

    /** The one with a key; null when there is none, because the market has moved on say. */
    public function find(string $key, Instrument $instrument, User $author, TimeFrame $shown, ?string $asOf): ?Check
    {
        foreach ($this->of($instrument, $author, $shown, $asOf) as $check) {
            if ($check->key === $key) {
                return $check;
            }
        }

        return null;
    }

    /**
     * @param list<array{string, int}> $averages
     * @param list<TimeFrame>          $frames
     *
     * @return list<Check>
     */
    private function compute(Instrument $instrument, array $averages, array $frames, TimeFrame $shown, ?string $asOf): array
    {
        $calendar = $this->calendars->of($instrument);
        $until = $asOf === null ? null : $calendar->session($asOf)->close ?? (int) strtotime("{$asOf}T23:59:59Z");
        $date = $calendar->dateOf($until ?? $this->clock->moment());
        $checks = [];
        $range = null;
        $days = $this->bars->days($instrument, self::DAYS, $until);
        $builder = new BarBuilder(new SessionBook());
        foreach ($frames as $frame) {
            $series = match (true) {
                $frame === TimeFrame::Day => $days,
                $frame->isFinerThan(TimeFrame::Day) => $this->bars->series($instrument, $frame, self::BARS, until: $until),
                default => $builder->larger($days, $frame),
            };
            if ($series->count() === 0) {
                continue;
            }
            $input = new LevelInput($series, $date);
            $range = $frame === TimeFrame::Day ? $input : $range;
            $check = new CrossCheck(self::kinds($frame), averages: $averages, mostZones: $frame === $shown ? CrossCheck::MOST_ZONES : self::MOST_OF_OTHERS);
            $found = array_values(array_filter($check->of($input), static fn (FoundLevel $one): bool => ! self::isFilled($one) && ($range === null || $frame === TimeFrame::Day || $one->isWithin(CrossCheck::REACH, $range))));
            array_push($checks, ...array_map(static fn (FoundLevel $one): Check => new Check($one, $frame), $frame === $shown || $frame === TimeFrame::Day ? $found : self::bestLines($found)));
        }
        if ($range !== null) {
            $joined = array_values(array_map(static fn (Check $check): FoundLevel => $check->found, array_filter($checks, static fn (Check $check): bool => in_array($check->found->kind, self::JOINED, true) && ! $check->found->isOver())));
            foreach (Confluence::of($joined, $range) as $found) {
                $checks[] = new Check($found, TimeFrame::Day);
            }
        }
        usort($checks, static fn (Check $a, Check $b): int => [$b->found->price, $b->found->score, $a->key] <=> [$a->found->price, $a->found->score, $b->key]);

        return $checks;
    }

    /** @return list<LevelKind> */
    private static function kinds(TimeFrame $frame): array
    {
        return match (true) {
            $frame === TimeFrame::Day => self::OF_DAYS,
            $frame->isFinerThan(TimeFrame::Day) => self::OF_SESSIONS,
            default => self::SHAPES,
        };
    }

    /**
     * All zones, and of the lines the best ones.
     *
     * @param list<FoundLevel> $found
     *
     * @return list<FoundLevel>
     */
    private static function bestLines(array $found): array
    {
        $lines = array_values(array_filter($found, static fn (FoundLevel $one): bool => $one->kind === LevelKind::Line));
        usort($lines, static fn (FoundLevel $a, FoundLevel $b): int => $b->score <=> $a->score);

        return [...array_values(array_filter($found, static fn (FoundLevel $one): bool => $one->kind !== LevelKind::Line)), ...array_slice($lines, 0, self::LINES_OF_OTHERS)];
    }

    /** A gap that is filled is no level any more. */
    private static function isFilled(FoundLevel $found): bool
    {
        return ($found->details['state'] ?? '') === 'filled';
    }
}
