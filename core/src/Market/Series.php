<?php

declare(strict_types=1);

namespace Watchpost\Core\Market;

/**
 * A run of bars in columns, one packed array per field: times in Unix seconds, prices in units of the grid.
 */
final readonly class Series
{
    /**
     * @param list<int>    $start
     * @param list<string> $session
     * @param list<int>    $open
     * @param list<int>    $high
     * @param list<int>    $low
     * @param list<int>    $close
     * @param list<int>    $volume
     */
    public function __construct(
        public PriceGrid $grid,
        public TimeFrame $timeFrame,
        public array $start,
        public array $session,
        public array $open,
        public array $high,
        public array $low,
        public array $close,
        public array $volume,
    ) {
    }

    /** @param list<Bar> $bars in time order */
    public static function of(PriceGrid $grid, TimeFrame $timeFrame, array $bars): self
    {
        return new self(
            $grid,
            $timeFrame,
            array_map(static fn (Bar $bar): int => $bar->start, $bars),
            array_map(static fn (Bar $bar): string => $bar->session, $bars),
            array_map(static fn (Bar $bar): int => $bar->open, $bars),
            array_map(static fn (Bar $bar): int => $bar->high, $bars),
            array_map(static fn (Bar $bar): int => $bar->low, $bars),
            array_map(static fn (Bar $bar): int => $bar->close, $bars),
            array_map(static fn (Bar $bar): int => $bar->volume, $bars),
        );
    }

    /**
     * Its bars, for building larger ones. When each ends is not kept in columns: it is told as its start.
     *
     * @return list<Bar>
     */
    public function bars(): array
    {
        $bars = [];
        foreach ($this->start as $i => $start) {
            $bars[] = new Bar($start, $start, $this->session[$i], $this->open[$i], $this->high[$i], $this->low[$i], $this->close[$i], $this->volume[$i]);
        }

        return $bars;
    }

    /** A part of it, from a bar on. */
    public function slice(int $from, int $count): self
    {
        return new self(
            $this->grid,
            $this->timeFrame,
            array_slice($this->start, $from, $count),
            array_slice($this->session, $from, $count),
            array_slice($this->open, $from, $count),
            array_slice($this->high, $from, $count),
            array_slice($this->low, $from, $count),
            array_slice($this->close, $from, $count),
            array_slice($this->volume, $from, $count),
        );
    }

    public function count(): int
    {
        return count($this->start);
    }

    /** The last close in units, null for a series without bars. */
    public function lastClose(): ?int
    {
        return $this->close === [] ? null : $this->close[count($this->close) - 1];
    }

    /**
     * Closes in currency, for indicators.
     *
     * @return list<float>
     */
    public function closes(): array
    {
        return $this->floats($this->close);
    }

    /**
     * Closes in currency by a key of each bar, its session say.
     *
     * @param list<string> $keys one for each bar
     *
     * @return array<string, float>
     */
    public function closesBy(array $keys): array
    {
        return array_combine($keys, $this->closes());
    }

    /** @return list<float> */
    public function highs(): array
    {
        return $this->floats($this->high);
    }

    /** @return list<float> */
    public function lows(): array
    {
        return $this->floats($this->low);
    }

    /**
     * @param list<int> $units
     *
     * @return list<float>
     */
    private function floats(array $units): array
    {
        $scale = 10 ** $this->grid->decimals;

        return array_map(static fn (int $price): float => $price / $scale, $units);
    }
}
