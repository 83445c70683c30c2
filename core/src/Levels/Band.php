<?php

declare(strict_types=1);

namespace Watchpost\Core\Levels;

/**
 * Where a level lies at each bar: its lower and its upper edge, in units; null where it does not exist yet. Of a single
 * price both are the same.
 */
final readonly class Band
{
    /**
     * @param list<int|float|null> $low  one for each bar
     * @param list<int|float|null> $high as long
     */
    public function __construct(public array $low, public array $high)
    {
    }

    public static function flat(int $low, int $high, int $bars): self
    {
        return new self(self::filled($low, $bars), self::filled($high, $bars));
    }

    /** @param list<float|null> $values */
    public static function moving(array $values): self
    {
        return new self($values, $values);
    }

    /**
     * The band of the bar before at each bar: what could be known of it while the bar traded.
     *
     * Source: edge-cases.md, T52.
     */
    public function asOfTheBarBefore(): self
    {
        $count = count($this->low);

        return $count === 0 ? $this : new self([null, ...array_slice($this->low, 0, $count - 1)], [null, ...array_slice($this->high, 0, $count - 1)]);
    }

    /**
     * On which side of the band a close stands: 1 above it, -1 below, 0 within, null where there is no band.
     */
    public function side(int $index, int $close): ?int
    {
        $low = $this->low[$index] ?? null;
        $high = $this->high[$index] ?? null;

        return match (true) {
            $low === null || $high === null => null,
            $close > $high => 1,
            $close < $low => -1,
            default => 0,
        };
    }

    /** @return list<int> */
    private static function filled(int $value, int $bars): array
    {
        return $bars === 0 ? [] : array_fill(0, $bars, $value);
    }
}
