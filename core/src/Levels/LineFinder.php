<?php

declare(strict_types=1);

namespace Watchpost\Core\Levels;

/** Trend lines through prominent swings, with their channels. */
final readonly class LineFinder implements LevelFinder
{
    private const BARS = 250;
    private const MOST_SWINGS = 30;
    private const NEAR = 0.25;
    private const MOST_LINES = 6;
    private const LEAST_TOUCHES = 3;
    private const BROKEN_BARS = 20;

    /** @param bool $logarithmic whether lines are straight on a logarithmic scale */
    public function __construct(private bool $logarithmic = false)
    {
    }

    public function kinds(): array
    {
        return [LevelKind::Line];
    }

    /**
     * Through two prominent swing lows (highs) and at least one more within 0.25 ATR of it, without a close beyond by
     * more than 0.25 ATR between the first and the last touch; on bar index. score = touches x span / 100 bars. Price is
     * the value at the next bar. Broken by the first close beyond by more than 0.25 ATR after the last touch; lines
     * broken more than 20 bars ago are left out, and of near doubles (within 0.25 ATR at the last bar, 0.5 ATR at their
     * common start) the weaker. The channel is the parallel through the farthest opposite swing between its touches.
     *
     * Unit: units of the grid; channel width a share of price. Source: computations.md, Levels 6; edge-cases.md, T51.
     */
    public function find(LevelInput $input): array
    {
        $swings = array_filter(Swings::prominent($input->highs, $input->lows, $input->atr), static fn (Swing $swing): bool => $input->last - $swing->index < self::BARS);
        $lines = [];
        foreach ([false, true] as $isHigh) {
            $side = array_slice(array_values(array_filter($swings, static fn (Swing $swing): bool => $swing->isHigh === $isHigh)), -self::MOST_SWINGS);
            $opposite = array_values(array_filter($swings, static fn (Swing $swing): bool => $swing->isHigh !== $isHigh));
            array_push($lines, ...$this->through($input, $side, $opposite));
        }
        usort($lines, static fn (Line $a, Line $b): int => $b->score() <=> $a->score());
        $kept = [];
        foreach ($lines as $line) {
            if (! $this->isDouble($line, $kept, $input)) {
                $kept[] = $line;
            }
            if (count($kept) === self::MOST_LINES) {
                break;
            }
        }

        return array_map(fn (Line $line): FoundLevel => $this->level($line, $input), $kept);
    }

    /**
     * @param list<Swing> $swings   of one side, in order of time
     * @param list<Swing> $opposite
     *
     * @return list<Line>
     */
    private function through(LevelInput $input, array $swings, array $opposite): array
    {
        $near = self::NEAR * $input->range;
        $lines = [];
        foreach ($swings as $i => $first) {
            foreach (array_slice($swings, $i + 1) as $second) {
                $line = new Line($first, $second, $this->logarithmic);
                $broken = $line->brokenAt($input->closes, $near) ?? PHP_INT_MAX;
                if ($second->index >= $broken || $input->last - $broken > self::BROKEN_BARS) {
                    continue;
                }
                $touches = array_values(array_filter($swings, static fn (Swing $swing): bool => $swing->index >= $first->index && $swing->index < $broken && abs($line->at($swing->index) - $swing->price) <= $near));
                if (count($touches) >= self::LEAST_TOUCHES) {
                    $lines[] = $line->with($touches, $opposite);
                }
            }
        }

        return $lines;
    }

    /** @param list<Line> $kept */
    private function isDouble(Line $line, array $kept, LevelInput $input): bool
    {
        $near = self::NEAR * $input->range;
        foreach ($kept as $other) {
            $start = max($line->touches[0]->index, $other->touches[0]->index);
            if ($line->isAbove() === $other->isAbove() && abs($line->at($input->last) - $other->at($input->last)) <= $near && abs($line->at($start) - $other->at($start)) <= 2 * $near) {
                return true;
            }
        }

        return false;
    }

    private function level(Line $line, LevelInput $input): FoundLevel
    {
        $next = $line->at($input->last + 1);
        $slope = $next - $line->at($input->last);
        $price = $input->tick(max(1.0, $next));
        $channel = $line->channelAt($input->last + 1);
        $way = $slope > 0 ? 'rising' : 'falling';
        $broken = $line->brokenAt($input->closes, self::NEAR * $input->range);
        $brokenOn = $broken === null ? null : $input->series->session[$broken];

        return new FoundLevel(
            LevelKind::Line,
            $price,
            $price,
            $price,
            count($line->touches) > self::LEAST_TOUCHES ? Grade::Major : Grade::Minor,
            $line->score(),
            "{$way} line ".($line->isAbove() ? 'over' : 'under').' '.count($line->touches).' swing '.($line->isAbove() ? 'highs' : 'lows')." since {$input->series->session[$line->touches[0]->index]}".($brokenOn === null ? '' : ", broken on {$brokenOn}"),
            array_map(static fn (Swing $swing): Touch => new Touch($input->series->session[$swing->index], (int) $swing->price, TouchKind::Held), $line->touches),
            [
                'per_bar' => $input->series->grid->toFloat(1) * $slope,
                'logarithmic' => $this->logarithmic,
                'state' => $brokenOn === null ? 'open' : 'broken',
                'broken_on' => $brokenOn,
                'from' => $input->series->session[$line->first->index],
                'from_price' => $input->series->grid->format((int) $line->first->price),
                'to' => $input->series->session[$line->second->index],
                'to_price' => $input->series->grid->format((int) $line->second->price),
                'channel' => $channel === null ? null : $input->series->grid->format($input->tick(max(1.0, $channel))),
                'channel_width' => $channel === null || $next <= 0.0 ? null : round(abs($channel - $next) / $next, 4),
            ],
        );
    }
}
