<?php

declare(strict_types=1);

namespace App\Data;

use App\Models\Instrument;

final readonly class InstrumentData
{
    /** @param list<string> $labels special risks */
    public function __construct(
        public int $id,
        public string $symbol,
        public string $name,
        public string $kind,
        public int $decimals,
        public string $tick,
        public string $currency,
        public string $group,
        public ?string $benchmark,
        public bool $traded,
        public array $labels,
    ) {
    }

    public static function of(Instrument $instrument): self
    {
        return new self(
            $instrument->id,
            $instrument->symbol,
            $instrument->name,
            $instrument->kind->label(),
            $instrument->decimals,
            $instrument->grid()->format($instrument->tick),
            $instrument->currency,
            $instrument->group,
            $instrument->benchmark,
            $instrument->isTraded(),
            $instrument->labels,
        );
    }
}
