<?php

declare(strict_types=1);

namespace App\Data;

use Watchpost\Core\Sizing\OptionRight;
use Watchpost\Core\Sizing\OptionShape;

/** The idea of a setup in options: its terms as typed, and what they come to at expiry. */
final readonly class OptionData
{
    /**
     * @param list<string>          $strikes
     * @param list<string>          $premiums
     * @param list<FigureData>      $figures  of one contract
     * @param list<PayoffPointData> $points   where the line of gains bends and ends, and the prices of the setup on it
     * @param list<string>          $warnings
     */
    public function __construct(
        public OptionShape $shape,
        public OptionRight $right,
        public string $expiry,
        public string $multiplier,
        public array $strikes,
        public array $premiums,
        public string $sentence,
        public array $figures,
        public array $points,
        public array $warnings,
    ) {
    }
}
