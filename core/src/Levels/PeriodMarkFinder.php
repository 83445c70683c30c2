<?php

declare(strict_types=1);

namespace Watchpost\Core\Levels;

use Watchpost\Core\Market\Bar;
use Watchpost\Core\Market\TimeFrame;

/** Marks of past periods: their highs, lows, opens and closes. */
final readonly class PeriodMarkFinder implements LevelFinder
{
    private const YEAR = 252;
    private const SHORT = [3, 5, 20];
    private const WITH_OPEN = ['week', 'month', 'year'];

    public function kinds(): array
    {
        return [LevelKind::Period];
    }

    /**
     * High, low and close of the previous session, week, month, quarter and year: of the last one that is over as of the
     * date; open of the week, month and year that is not; 52-week (252 sessions) and all-time high and low; highs and
     * lows of the last 3, 5, 20 sessions. Marks finer than the bars are left out. Each origin names the bar's date.
     *
     * Unit: units of the grid. Source: computations.md, Levels 2; edge-cases.md, T54 and T55.
     */
    public function find(LevelInput $input): array
    {
        $periods = new Periods($input->series, $input->asOf);
        $marks = [];
        foreach ($periods->byName as $name => ['previous' => $previous, 'running' => $running]) {
            if ($previous !== null) {
                $grade = $name === 'session' ? Grade::Minor : Grade::Major;
                foreach (['high' => $previous->high, 'low' => $previous->low, 'close' => $previous->close] as $which => $price) {
                    $marks[] = self::mark($price, $grade, "{$which} of the previous {$name}", $previous);
                }
            }
            if ($running !== null && in_array($name, self::WITH_OPEN, true)) {
                $marks[] = self::mark($running->open, Grade::Minor, "open of this {$name}", $running);
            }
        }
        if (! TimeFrame::Day->isFinerThan($input->series->timeFrame)) {
            foreach ([...self::SHORT, self::YEAR] as $sessions) {
                $span = array_slice($periods->sessions, -$sessions);
                if (count($span) === $sessions) {
                    array_push($marks, ...self::ends($span, $sessions === self::YEAR ? '52-week' : "{$sessions}-session", $sessions === self::YEAR ? Grade::Major : Grade::Minor));
                }
            }
        }

        return [...$marks, ...self::ends($periods->sessions, 'all-time', Grade::Major)];
    }

    /**
     * @param list<Bar> $bars
     *
     * @return list<FoundLevel>
     */
    private static function ends(array $bars, string $name, Grade $grade): array
    {
        $high = $low = $bars[0];
        foreach ($bars as $bar) {
            $high = $bar->high > $high->high ? $bar : $high;
            $low = $bar->low < $low->low ? $bar : $low;
        }

        return [self::mark($high->high, $grade, "{$name} high", $high), self::mark($low->low, $grade, "{$name} low", $low)];
    }

    private static function mark(int $price, Grade $grade, string $words, Bar $bar): FoundLevel
    {
        return new FoundLevel(LevelKind::Period, $price, $price, $price, $grade, 1.0, "{$words} ({$bar->session})", [], ['mark' => $words, 'session' => $bar->session]);
    }
}
