<?php

declare(strict_types=1);

namespace Watchpost\Core\Market;

enum MarketEventKind: string
{
    case Earnings = 'earnings';
    case Dividend = 'dividend';
    case Offering = 'offering';
    case Split = 'split';
    case Halt = 'halt';
    case Listing = 'listing';
    case ContractEnd = 'contract_end';
    case CentralBank = 'central_bank';
    case Economic = 'economic';
    case Auction = 'auction';
    case Political = 'political';
    case Other = 'other';

    public function label(): string
    {
        return match ($this) {
            self::Earnings => 'Earnings',
            self::Dividend => 'Dividend',
            self::Offering => 'Share offering',
            self::Split => 'Split',
            self::Halt => 'Halt',
            self::Listing => 'Listing',
            self::ContractEnd => 'Contract ends',
            self::CentralBank => 'Central bank',
            self::Economic => 'Economic',
            self::Auction => 'Auction',
            self::Political => 'Political',
            self::Other => 'Other',
        };
    }
}
