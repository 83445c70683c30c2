<?php

declare(strict_types=1);

namespace App\Data;

use App\Enums\ImportKind;
use App\Enums\ImportState;
use App\Import\Mapping;
use App\Models\Import;

/** An import: how far it has come and what came of it. */
final readonly class ImportData
{
    /** @param list<LineFaultData> $faults the first ones */
    public function __construct(
        public int $id,
        public ImportKind $kind,
        public string $kindLabel,
        public string $fileName,
        public ImportState $state,
        public int $total,
        public int $done,
        public int $added,
        public int $unchanged,
        public int $corrected,
        public int $heldBack,
        public int $faultCount,
        public array $faults,
        public ?string $message,
        public bool $underWay,
    ) {
    }

    public static function of(Import $import): self
    {
        $names = Mapping::fromArray($import->mapping)->columns;

        return new self(
            $import->id,
            $import->kind,
            $import->kind->label(),
            $import->file_name,
            $import->state,
            $import->lines_total,
            $import->lines_done,
            $import->added,
            $import->unchanged,
            $import->corrected,
            $import->held_back,
            $import->fault_count,
            array_map(static fn (array $fault): LineFaultData => new LineFaultData($fault['line'], $fault['field'].(isset($names[$fault['field']]) ? ' (column '.($names[$fault['field']] + 1).')' : ''), $fault['reason'], $fault['text']), $import->faults),
            $import->message,
            $import->state->isUnderWay(),
        );
    }
}
