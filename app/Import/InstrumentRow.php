<?php

declare(strict_types=1);

namespace App\Import;

use App\Models\Instrument;
use Watchpost\Core\Market\Instrument as ListedInstrument;

final readonly class InstrumentRow
{
    /** @param Instrument|null $known the one that has the symbol already */
    public function __construct(public ListedInstrument $listed, public ?Instrument $known)
    {
    }
}
