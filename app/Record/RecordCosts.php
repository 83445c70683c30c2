<?php

declare(strict_types=1);

namespace App\Record;

/** What every setup of the record is charged: the same for all, and stated on it. */
final readonly class RecordCosts
{
    /** @param string $commissionPerUnit a decimal, in currency */
    public function __construct(public int $slippageTicks, public string $commissionPerUnit)
    {
    }

    public function label(): string
    {
        $charged = $this->slippageTicks === 0 && (float) $this->commissionPerUnit === 0.0
            ? 'No slippage and no commission are charged'
            : "Every setup is charged {$this->slippageTicks} ticks of slippage and {$this->commissionPerUnit} commission per unit";

        return "{$charged}; borrowing for shorts is not modelled.";
    }
}
