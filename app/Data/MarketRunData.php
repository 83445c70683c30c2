<?php

declare(strict_types=1);

namespace App\Data;

use App\Enums\RunState;
use App\Models\MarketRun;

/** How far the market has been played. */
final readonly class MarketRunData
{
    public function __construct(
        public int $id,
        public string $label,
        public RunState $state,
        public int $done,
        public int $total,
        public ?string $message,
    ) {
    }

    public static function of(MarketRun $run): self
    {
        return new self($run->id, $run->label, $run->state, $run->steps_done, $run->steps_total, $run->message);
    }
}
