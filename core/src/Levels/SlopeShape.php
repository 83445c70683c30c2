<?php

declare(strict_types=1);

namespace Watchpost\Core\Levels;

/** A sloping line through two points, by bar index, or a channel with its parallel through a third. */
final readonly class SlopeShape implements Shape
{
    /** @param Anchor|null $parallel a point of the other line of a channel */
    public function __construct(private Anchor $from, private Anchor $to, private bool $logarithmic = false, private ?Anchor $parallel = null)
    {
    }

    /**
     * From its first point on. Of a channel, the lower and the upper line.
     *
     * Source: edge-cases.md, T51.
     */
    public function band(LevelInput $input): Band
    {
        $low = $high = [];
        $line = $this->line($input);
        $start = $this->from->index($input);
        for ($i = 0; $i <= $input->last; ++$i) {
            $edges = $line === null || $start === null || $i < $start ? null : self::edges($line, $i);
            $low[] = $edges[0] ?? null;
            $high[] = $edges[1] ?? null;
        }

        return new Band($low, $high);
    }

    public function next(LevelInput $input): ?array
    {
        return $this->ahead($input, 1);
    }

    /**
     * Its edges so many bars ahead of the last one, on the tick.
     *
     * @return array{int, int}|null null while it is undefined, or would not lie above 0
     */
    public function ahead(LevelInput $input, int $bars): ?array
    {
        $line = $this->line($input);
        $edges = $line === null ? null : self::edges($line, $input->last + $bars);

        return $edges === null || $edges[0] <= 0.0 ? null : [$input->tick($edges[0]), $input->tick($edges[1])];
    }

    public function moves(): bool
    {
        return true;
    }

    /** Null unless both points lie on different bars of the series. */
    private function line(LevelInput $input): ?Line
    {
        $from = $this->from->index($input);
        $to = $this->to->index($input);
        if ($from === null || $to === null || $from === $to) {
            return null;
        }
        $line = new Line(new Swing($from, $from, (float) $this->from->price, false), new Swing($to, $to, (float) $this->to->price, false), $this->logarithmic);
        $through = $this->parallel?->index($input);

        return $this->parallel === null || $through === null ? $line : $line->withParallelThrough($through, (float) $this->parallel->price);
    }

    /** @return array{float, float} */
    private static function edges(Line $line, int $index): array
    {
        $one = $line->at($index);
        $other = $line->channelAt($index) ?? $one;

        return [min($one, $other), max($one, $other)];
    }
}
