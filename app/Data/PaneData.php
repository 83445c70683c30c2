<?php

declare(strict_types=1);

namespace App\Data;

use App\Enums\PaneKind;

/** A pane below the price: its lines, and the values that are marked across it. */
final readonly class PaneData
{
    /**
     * @param list<PaneLineData> $lines
     * @param list<float>        $guides
     * @param float|null         $low      end of the scale, where it is fixed
     * @param int                $decimals to be read with
     * @param string             $note     what is to be said of the last bar; empty for nothing
     */
    public function __construct(
        public PaneKind $kind,
        public string $label,
        public array $lines,
        public array $guides,
        public ?float $low,
        public ?float $high,
        public int $decimals,
        public string $note,
    ) {
    }

    /** The pane without its first bars. */
    public function from(int $skip): self
    {
        return new self($this->kind, $this->label, array_map(static fn (PaneLineData $line): PaneLineData => $line->from($skip), $this->lines), $this->guides, $this->low, $this->high, $this->decimals, $this->note);
    }
}
