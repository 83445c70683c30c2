<?php

declare(strict_types=1);

namespace Watchpost\Simulator;

/** Where a listing stands after a session: all that the next session depends on. */
final readonly class ListingState
{
    /**
     * @param float $price     last price, in currency, on the scale of today's units
     * @param float $middle    middle of the range it is pulled to; of the gauge, the recent moves of the market
     * @param float $heat      how lively the last sessions were, 1 being usual
     * @param int   $phaseLeft sessions until the phase changes
     */
    public function __construct(
        public float $price,
        public float $middle,
        public float $heat,
        public Phase $phase,
        public int $phaseLeft,
    ) {
    }

    /** @return array{price: float, middle: float, heat: float, phase: string, phase_left: int} */
    public function toArray(): array
    {
        return [
            'price' => $this->price,
            'middle' => $this->middle,
            'heat' => $this->heat,
            'phase' => $this->phase->value,
            'phase_left' => $this->phaseLeft,
        ];
    }

    /** @param array{price: float|int, middle: float|int, heat: float|int, phase: string, phase_left: int} $data */
    public static function fromArray(array $data): self
    {
        return new self((float) $data['price'], (float) $data['middle'], (float) $data['heat'], Phase::from($data['phase']), $data['phase_left']);
    }
}
