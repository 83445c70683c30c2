<?php

declare(strict_types=1);

namespace Watchpost\Core\Levels;

use Watchpost\Core\Market\Bar;
use Watchpost\Core\Market\BarBuilder;
use Watchpost\Core\Market\Series;
use Watchpost\Core\Market\SessionBook;
use Watchpost\Core\Market\TimeFrame;

/**
 * The sessions, weeks, months, quarters and years of a series: the last of each that is over as of a date, and the one
 * that is not. What is finer than the bars is left out. Weeks, months and so on are those of the calendar, not a number
 * of sessions.
 */
final readonly class Periods
{
    private const FRAMES = ['session' => TimeFrame::Day, 'week' => TimeFrame::Week, 'month' => TimeFrame::Month, 'quarter' => TimeFrame::Quarter];

    /** @var array<string, array{previous: Bar|null, running: Bar|null}> by the word for the period */
    public array $byName;
    /** @var list<Bar> the bars of the series, joined to sessions where they are finer */
    public array $sessions;

    public function __construct(Series $series, string $asOf)
    {
        $builder = new BarBuilder(new SessionBook());
        $bars = $series->bars();
        $this->sessions = $series->timeFrame->isFinerThan(TimeFrame::Day) ? $builder->build($bars, TimeFrame::Day) : $bars;
        $byName = [];
        foreach (self::FRAMES as $name => $frame) {
            if (! $frame->isFinerThan($series->timeFrame)) {
                // the bars of a session are all there; a longer period is over when the date lies beyond it
                $running = $frame === TimeFrame::Day ? null : BarBuilder::period($asOf, $frame);
                $byName[$name] = self::split($builder->build($this->sessions, $frame), static fn (string $date): bool => BarBuilder::period($date, $frame) === $running);
            }
        }
        $byName['year'] = self::split(self::years($this->sessions), static fn (string $date): bool => substr($date, 0, 4) === substr($asOf, 0, 4));
        $this->byName = $byName;
    }

    /**
     * @param list<Bar> $bars
     *
     * @return list<Bar>
     */
    private static function years(array $bars): array
    {
        $years = [];
        foreach ($bars as $bar) {
            $years[substr($bar->session, 0, 4)][] = $bar;
        }

        return array_values(array_map(Bar::join(...), $years));
    }

    /**
     * @param list<Bar>              $built
     * @param callable(string): bool $isRunning
     *
     * @return array{previous: Bar|null, running: Bar|null}
     */
    private static function split(array $built, callable $isRunning): array
    {
        $last = $built[count($built) - 1] ?? null;
        $running = $last !== null && $isRunning($last->session) ? $last : null;

        return ['previous' => $built[count($built) - ($running === null ? 1 : 2)] ?? null, 'running' => $running];
    }
}
