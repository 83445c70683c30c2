<?php

declare(strict_types=1);

namespace Watchpost\Core\Levels;

/** A straight line through two swings, on bar index; straight in price, or in its logarithm. */
final readonly class Line
{
    private const SPAN = 100;

    /** @var list<Swing> in order of time */
    public array $touches;

    /**
     * @param list<Swing> $touches
     * @param float|null  $shift   from the line to its parallel, in price or its logarithm; null without a channel
     */
    public function __construct(public Swing $first, public Swing $second, private bool $logarithmic, array $touches = [], private ?float $shift = null)
    {
        $this->touches = $touches;
    }

    /** The value at a bar, in units. */
    public function at(int $index): float
    {
        return $this->value($index, 0.0);
    }

    /** Whether it lies over price: it runs through highs. */
    public function isAbove(): bool
    {
        return $this->first->isHigh;
    }

    /**
     * The line with what touches it, and the parallel through the opposite swing that lies farthest from it.
     *
     * @param list<Swing> $touches  in order of time
     * @param list<Swing> $opposite
     */
    public function with(array $touches, array $opposite): self
    {
        $farthest = null;
        $last = $touches[count($touches) - 1]->index;
        foreach ($opposite as $swing) {
            $distance = $this->scaled($swing->price) - $this->scaled($this->at($swing->index));
            if ($swing->index >= $touches[0]->index && $swing->index <= $last && abs($distance) > abs($farthest ?? 0.0)) {
                $farthest = $distance;
            }
        }

        return new self($this->first, $this->second, $this->logarithmic, $touches, $farthest);
    }

    /** The line with the parallel through a point. */
    public function withParallelThrough(int $index, float $price): self
    {
        return new self($this->first, $this->second, $this->logarithmic, $this->touches, $this->scaled($price) - $this->scaled($this->at($index)));
    }

    /** The value of the parallel at a bar; null without a channel. */
    public function channelAt(int $index): ?float
    {
        return $this->shift === null ? null : $this->value($index, $this->shift);
    }

    /**
     * The first bar that closes beyond the line by more than a little; null while none does.
     *
     * @param list<float> $closes
     * @param float       $beyond in units
     */
    public function brokenAt(array $closes, float $beyond): ?int
    {
        for ($i = $this->first->index, $n = count($closes); $i < $n; ++$i) {
            if (($this->isAbove() ? $closes[$i] - $this->at($i) : $this->at($i) - $closes[$i]) > $beyond) {
                return $i;
            }
        }

        return null;
    }

    /** Touches times the bars between the first and the last, in hundreds. */
    public function score(): float
    {
        $count = count($this->touches);

        return $count === 0 ? 0.0 : $count * ($this->touches[$count - 1]->index - $this->touches[0]->index) / self::SPAN;
    }

    private function value(int $index, float $shift): float
    {
        $from = $this->scaled($this->first->price);
        $value = $from + ($this->scaled($this->second->price) - $from) * ($index - $this->first->index) / ($this->second->index - $this->first->index) + $shift;

        return $this->logarithmic ? exp($value) : $value;
    }

    private function scaled(float $price): float
    {
        return $this->logarithmic ? log(max(1e-9, $price)) : $price;
    }
}
