<?php

declare(strict_types=1);

namespace Watchpost\Simulator;

/**
 * The prices at which many have bought or sold before: fixed on a log scale, an uneven distance apart. Price that meets
 * one in a session turns there more often than not, but not always.
 */
final class Barriers
{
    private const DISTANCE = 5.5;
    private const HOLD_CHANCE = 0.66;

    /** @var array<int, float> */
    private array $known = [];

    /** @param float $move usual session move of the listing, as a share of price */
    public function __construct(private readonly string $seed, private readonly string $symbol, private readonly float $origin, private readonly float $move)
    {
    }

    /** The number of the barrier next below a log price. */
    public function below(float $x): int
    {
        $k = (int) floor(($x - $this->origin) / ($this->move * self::DISTANCE));
        while ($this->at($k) > $x) {
            --$k;
        }
        while ($this->at($k + 1) <= $x) {
            ++$k;
        }

        return $k;
    }

    /** The log price of a barrier. */
    public function at(int $k): float
    {
        return $this->known[$k] ??= $this->origin + $this->move * self::DISTANCE * ($k + (new Dice($this->seed, $this->symbol, 'barrier', (string) $k))->between(-0.3, 0.3));
    }

    /** Whether a barrier holds in a session. */
    public function holds(int $k, string $date): bool
    {
        return (new Dice($this->seed, $this->symbol, $date, 'barrier', (string) $k))->uniform() < self::HOLD_CHANCE;
    }
}
