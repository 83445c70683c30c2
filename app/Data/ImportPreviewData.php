<?php

declare(strict_types=1);

namespace App\Data;

/** How a file is read, and what its first lines become. */
final readonly class ImportPreviewData
{
    /**
     * @param list<string>           $head     fields of the first line
     * @param list<ImportColumnData> $columns
     * @param list<string>           $names    of the fields shown
     * @param list<PreviewRowData>   $rows
     * @param list<LineFaultData>    $faults   among the first lines
     * @param list<ChoiceData>       $formats  of dates
     * @param list<string>           $zones
     */
    public function __construct(
        public bool $calendar,
        public string $delimiter,
        public bool $header,
        public string $dates,
        public string $zone,
        public string $timeFrame,
        public string $symbol,
        public string $decimal,
        public array $head,
        public array $columns,
        public array $names,
        public array $rows,
        public array $faults,
        public array $formats,
        public array $zones,
        public ?string $problem,
    ) {
    }
}
