<?php

declare(strict_types=1);

namespace App\Import;

use App\Models\Instrument;
use Watchpost\Core\Market\Bar;
use Watchpost\Core\Market\TimeFrame;

final readonly class BarRow
{
    public function __construct(public Instrument $instrument, public TimeFrame $timeFrame, public Bar $bar, public bool $extended)
    {
    }
}
