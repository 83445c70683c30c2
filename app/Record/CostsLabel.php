<?php

declare(strict_types=1);

namespace App\Record;

/** Says what every setup of the record is charged. */
final class CostsLabel
{
    public static function of(int $slippageTicks, string $commission): string
    {
        if ($slippageTicks === 0 && (float) $commission === 0.0) {
            return 'No slippage and no commission are charged; borrowing for shorts is not modelled.';
        }

        return "Every setup is charged {$slippageTicks} ticks of slippage and {$commission} commission per unit; borrowing for shorts is not modelled.";
    }
}
