<?php

declare(strict_types=1);

namespace App\Levels;

use App\Enums\LevelForm;
use App\Enums\LevelStanding;
use App\Models\Level;
use Watchpost\Core\Levels\Anchor;
use Watchpost\Core\Levels\AverageShape;
use Watchpost\Core\Levels\FlatShape;
use Watchpost\Core\Levels\LevelInput;
use Watchpost\Core\Levels\LevelState;
use Watchpost\Core\Levels\Reaction;
use Watchpost\Core\Levels\Shape;
use Watchpost\Core\Levels\SlopeShape;
use Watchpost\Core\Levels\Swing;
use Watchpost\Core\Levels\SwingRatioFinder;
use Watchpost\Core\Levels\Touch;
use Watchpost\Core\Levels\TouchWalk;

/** Reads levels of an author on day bars. */
final readonly class LevelReader
{
    /** Day bars on which levels are read: two and a half years. */
    public const DAYS = 640;
    private const BEYOND = 0.1;

    /**
     * @param iterable<Level> $levels
     *
     * @return list<LevelReading>
     */
    public function readAll(iterable $levels, LevelInput $input): array
    {
        $readings = [];
        foreach ($levels as $level) {
            array_push($readings, ...$this->read($level, $input));
        }

        return $readings;
    }

    /** @return list<LevelReading> one, or one for each rung of a set; none while the level is undefined */
    public function read(Level $level, LevelInput $input): array
    {
        $readings = [];
        foreach (self::shapes($level, $input) as $rung => $shape) {
            $next = $shape->next($input);
            if ($next === null) {
                continue;
            }
            $band = $shape->band($input);
            $touches = (new TouchWalk($band, self::BEYOND * $input->range))->walk($input->series, 1);
            $since = array_values(array_filter($touches, static fn (Touch $touch): bool => $touch->session > $level->marked_on));
            $readings[] = new LevelReading(
                $level,
                $rung === '' ? "level-{$level->id}" : "level-{$level->id}-".str_replace([' ', '%', '.'], '', $rung),
                $rung === '' ? $level->origin : "{$rung}, {$level->origin}",
                $next[0],
                $next[1],
                $band,
                $shape->moves(),
                $touches,
                $since,
                $level->isRetired() ? LevelStanding::Retired : LevelStanding::of(LevelState::after($since)),
                Reaction::of($input->series, $band, $input->atr, self::firstAfter($level, $input)),
            );
        }

        return $readings;
    }

    /** The index of the first bar after a level was marked. */
    public static function firstAfter(Level $level, LevelInput $input): int
    {
        $index = (new Anchor($level->marked_on, 1))->index($input);

        return $index === null ? 0 : $index + 1;
    }

    /** @return array<string, Shape> by the name of the rung; '' for the level itself */
    private static function shapes(Level $level, LevelInput $input): array
    {
        $terms = $level->terms();

        return match ($level->form) {
            LevelForm::Price, LevelForm::Zone, LevelForm::Mark => ['' => new FlatShape($level->lowEdge(), $level->highEdge())],
            LevelForm::Line => $terms->from === null || $terms->to === null ? [] : ['' => new SlopeShape($terms->from, $terms->to, $terms->logarithmic, $terms->parallel)],
            LevelForm::Average => ['' => new AverageShape($terms->average, $terms->period, $terms->since)],
            LevelForm::Swing => self::rungs($terms, $input),
        };
    }

    /** @return array<string, Shape> */
    private static function rungs(LevelTerms $terms, LevelInput $input): array
    {
        $from = $terms->from?->index($input);
        $to = $terms->to?->index($input);
        if ($terms->from === null || $terms->to === null || $from === null || $to === null) {
            return [];
        }
        $isUp = $terms->to->price > $terms->from->price;
        $found = SwingRatioFinder::levels($input, new Swing($from, $from, (float) $terms->from->price, ! $isUp), new Swing($to, $to, (float) $terms->to->price, $isUp));
        $rungs = [];
        foreach ($found as $one) {
            $rungs[(string) strstr($one->origin, ' of the move', true) ?: $one->origin] = new FlatShape($one->price, $one->price);
        }

        return $rungs;
    }
}
