<?php

declare(strict_types=1);

namespace App\Import;

use App\Data\ChoiceData;
use App\Data\ImportColumnData;
use App\Data\ImportPreviewData;
use App\Data\LineFaultData;
use App\Data\PreviewRowData;
use App\Models\Import;

/** Shows how the file of an import is read, and what its first lines become. */
final readonly class ImportPreview
{
    public function __construct(private Importer $importer)
    {
    }

    public function of(Import $import): ImportPreviewData
    {
        $source = ImportRun::source($import);
        $mapping = $source->mapping;
        $missing = Fields::missing($import->kind, $mapping);
        $problem = $missing === [] ? null : 'Say which column holds: '.implode(', ', $missing).(in_array('symbol', $missing, true) ? ', or name the symbol of all lines' : '').'.';
        $head = [];
        $preview = ['rows' => [], 'faults' => []];
        try {
            $head = $source->calendar ? [] : (new CsvFile($import->path))->head($mapping->delimiter, 1)[0];
            $preview = $missing === [] ? $this->importer->preview($source) : $preview;
        } catch (UnreadableFile $fault) {
            $problem = $fault->getMessage();
        }

        return new ImportPreviewData(
            $source->calendar,
            $mapping->delimiter,
            $mapping->header,
            $mapping->dates,
            $mapping->zone,
            $mapping->timeFrame,
            $mapping->symbol,
            $mapping->decimal,
            $head,
            array_map(static fn (string $field): ImportColumnData => new ImportColumnData($field, $mapping->columns[$field] ?? null, Fields::isNeeded($import->kind, $field)), array_keys(Fields::of($import->kind))),
            array_keys($preview['rows'][0] ?? []),
            array_map(static fn (array $row): PreviewRowData => new PreviewRowData(array_values($row)), $preview['rows']),
            array_map(static fn (array $fault): LineFaultData => new LineFaultData(...$fault), $preview['faults']),
            array_map(static fn (string $value, string $label): ChoiceData => new ChoiceData($value, $label), array_keys(DateReader::FORMATS), DateReader::FORMATS),
            \DateTimeZone::listIdentifiers(),
            $problem,
        );
    }
}
