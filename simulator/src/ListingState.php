<?php

declare(strict_types=1);

namespace Watchpost\Simulator;

/** Where a listing stands after a session: all that the next session depends on. */
final readonly class ListingState
{
    /**
     * @param int   $played    sessions played so far
     * @param float $price     last price, in currency
     * @param float $middle    middle of the range it is pulled to
     * @param float $heat      how lively the last sessions were, 1 being usual
     * @param int   $phaseLeft sessions until the phase changes
     */
    public function __construct(
        public int $played,
        public float $price,
        public float $middle,
        public float $heat,
        public Phase $phase,
        public int $phaseLeft,
    ) {
    }

    /** @return array{played: int, price: float, middle: float, heat: float, phase: string, phase_left: int} */
    public function toArray(): array
    {
        return [
            'played' => $this->played,
            'price' => $this->price,
            'middle' => $this->middle,
            'heat' => $this->heat,
            'phase' => $this->phase->value,
            'phase_left' => $this->phaseLeft,
        ];
    }

    /** @param array{played: int, price: float|int, middle: float|int, heat: float|int, phase: string, phase_left: int} $data */
    public static function fromArray(array $data): self
    {
        return new self($data['played'], (float) $data['price'], (float) $data['middle'], (float) $data['heat'], Phase::from($data['phase']), $data['phase_left']);
    }
}
