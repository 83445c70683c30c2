<?php

declare(strict_types=1);

namespace Watchpost\Simulator;

use Watchpost\Core\Market\Instrument;

/** An instrument of the made-up coast and how it moves. */
final readonly class Listing
{
    /**
     * @param float                $price      about where it stands in the autumn of 2026, in currency
     * @param float                $dailyMove  usual session move of its own, as a share of price
     * @param int                  $volume     usual session volume, 0 for one that is not traded itself
     * @param float                $beta       how strongly it follows the whole market
     * @param float                $groupBeta  how strongly it follows its group
     * @param float                $tradeShare share of five-minute bars in which it trades at all
     * @param float                $spread     between bid and ask, as a share of price
     * @param array<string, Phase> $story      phases that hold from a date on
     * @param float                $carry      yearly carry of a future, as a share of price
     */
    public function __construct(
        public Instrument $instrument,
        public Nature $nature,
        public float $price,
        public float $dailyMove,
        public int $volume,
        public float $beta = 0.0,
        public float $groupBeta = 0.0,
        public float $tradeShare = 1.0,
        public float $spread = 0.0,
        public array $story = [],
        public float $carry = 0.0,
    ) {
    }

    /** The symbol under which its own chances are drawn: a contract moves with its series. */
    public function root(): string
    {
        return $this->instrument->contract->series ?? $this->instrument->symbol;
    }

    /** The phase the story prescribes for a date, null when it leaves it to chance. */
    public function prescribed(string $date): ?Phase
    {
        $phase = null;
        foreach ($this->story as $from => $one) {
            $phase = $date >= $from ? $one : $phase;
        }

        return $phase;
    }
}
