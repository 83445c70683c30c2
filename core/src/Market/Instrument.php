<?php

declare(strict_types=1);

namespace Watchpost\Core\Market;

/** What is traded or watched, with the grid of its prices. */
final readonly class Instrument
{
    /**
     * @param string             $exchange   code of the exchange whose sessions it keeps; empty for the home exchange
     * @param int                $lot        least number of units traded at once
     * @param string             $pointValue money that a move of 1.0 in price is worth per unit, as a decimal
     * @param int|null           $pip        the pip in units, for pairs
     * @param string|null        $benchmark  symbol it is measured against
     * @param string|null        $listedOn   date of its first session
     * @param ContractTerms|null $contract   null for anything but a contract; a future without is a continuous series
     * @param list<string>       $labels     special risks, in words
     */
    public function __construct(
        public string $symbol,
        public string $name,
        public InstrumentKind $kind,
        public PriceGrid $grid,
        public string $currency,
        public string $group,
        public string $exchange = '',
        public string $sector = '',
        public int $lot = 1,
        public string $pointValue = '1',
        public ?int $pip = null,
        public ?string $benchmark = null,
        public ?string $listedOn = null,
        public ?FundTerms $fund = null,
        public ?ContractTerms $contract = null,
        public array $labels = [],
    ) {
    }
}
