<?php

declare(strict_types=1);

namespace Watchpost\Core\Setups;

use Watchpost\Core\Market\PriceGrid;

/**
 * A setup told by distances from the level it stands at, in usual ranges (ATR): so it can be put at another level, on
 * another evening or another instrument, on either side.
 *
 * @phpstan-import-type DraftState from Draft
 *
 * @phpstan-type RelativeState array{draft: DraftState, decimals: int, tick: int, level: int, range: float|int}
 */
final readonly class RelativeDraft
{
    /** What a condition on one side of the market becomes on the other. */
    private const MIRRORED = ['average_above' => 'average_below', 'average_below' => 'average_above'];

    /**
     * @param PriceGrid $grid  of its prices
     * @param int       $level the price of the level it stands at, in units
     * @param float     $range the usual range (ATR) on its evening, in units
     *
     * @throws \InvalidArgumentException when the range is not above 0
     */
    public function __construct(public Draft $draft, public PriceGrid $grid, public int $level, public float $range)
    {
        if ($range <= 0.0) {
            throw new \InvalidArgumentException('The usual range must be above 0.');
        }
    }

    /**
     * The setup at another level: every price as many usual ranges away from it, on the tick. On the other side it is
     * mirrored: what lay above lies below, and averages are asked for on the other side.
     *
     * @param int       $level in units of the new grid
     * @param float     $range likewise
     * @param Side|null $side  null for its own
     */
    public function put(PriceGrid $grid, int $level, float $range, ?Side $side = null): Draft
    {
        $side ??= $this->draft->side;
        $turn = $side === $this->draft->side ? 1 : -1;
        $put = $this->draft->moved(
            $this->grid,
            $grid,
            fn (int $price): int => $grid->nearestTick($level + $turn * ($price - $this->level) / $this->range * $range),
            // a tolerance stays one
            fn (int $distance): int => $distance === 0 ? 0 : max($grid->tick, $grid->nearestTick($distance / $this->range * $range)),
        );

        return $turn > 0 ? $put : $put->replace(['side' => $side, 'conditions' => array_map(
            static fn (array $condition): array => is_string($condition['kind'] ?? null) ? ['kind' => self::MIRRORED[$condition['kind']] ?? $condition['kind']] + $condition : $condition,
            $put->conditions,
        )]);
    }

    /** The distance of one of its prices from the level, in ATR. */
    public function away(int $price): float
    {
        return ($price - $this->level) / $this->range;
    }

    /** @return RelativeState */
    public function toState(): array
    {
        return ['draft' => $this->draft->toState(), 'decimals' => $this->grid->decimals, 'tick' => $this->grid->tick, 'level' => $this->level, 'range' => $this->range];
    }

    /** @param RelativeState $state */
    public static function fromState(array $state): self
    {
        return new self(Draft::fromState($state['draft']), new PriceGrid($state['decimals'], $state['tick']), $state['level'], (float) $state['range']);
    }
}
