<?php

declare(strict_types=1);

namespace Watchpost\Core\Levels;

use Watchpost\Core\Indicators\Atr;
use Watchpost\Core\Market\Series;

/** What finders read: bars known as of a moment, and the usual range. Columns of floats are in units of the grid. */
final readonly class LevelInput
{
    private const ATR_PERIOD = 14;

    public string $asOf;
    public int $last;
    public int $close;
    /** The usual range of a bar, in units; that of the bars at hand while ATR(14) is undefined. */
    public float $range;
    /** @var list<float> */
    public array $highs;
    /** @var list<float> */
    public array $lows;
    /** @var list<float> */
    public array $closes;
    /** @var list<float> */
    public array $volumes;
    /** @var list<float|null> average true range at each bar, in units */
    public array $atr;

    /**
     * @param Series      $series at least one bar
     * @param string|null $asOf   date of the evening on which the question is asked; null: that of the last bar
     *
     * @throws \InvalidArgumentException without bars
     */
    public function __construct(public Series $series, ?string $asOf = null)
    {
        if ($series->count() === 0) {
            throw new \InvalidArgumentException('levels need at least one bar');
        }
        $this->last = $series->count() - 1;
        $this->asOf = $asOf ?? $series->session[$this->last] ?? '';
        $this->close = $series->lastClose() ?? 0;
        $this->highs = array_map(floatval(...), $series->high);
        $this->lows = array_map(floatval(...), $series->low);
        $this->closes = array_map(floatval(...), $series->close);
        $this->volumes = array_map(floatval(...), $series->volume);
        $this->atr = Atr::of($this->highs, $this->lows, $this->closes, self::ATR_PERIOD);
        $bars = array_map(static fn (float $high, float $low): float => $high - $low, $this->highs, $this->lows);
        $this->range = max(1.0, $this->atr[$this->last] ?? array_sum($bars) / count($bars));
    }

    /** A computed price on the tick, at least one. */
    public function tick(float $units): int
    {
        return max($this->series->grid->tick, $this->series->grid->nearestTick($units));
    }

    /** The distance of a price from the last close, in usual ranges. */
    public function away(float $units): float
    {
        return abs($units - $this->close) / $this->range;
    }
}
