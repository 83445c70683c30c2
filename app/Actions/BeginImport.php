<?php

declare(strict_types=1);

namespace App\Actions;

use App\Enums\ImportKind;
use App\Enums\ImportState;
use App\Import\CsvFile;
use App\Import\Importer;
use App\Import\UnreadableFile;
use App\Models\Import;
use App\Models\User;

/** Takes a file in: it is kept, and how it is read is recognised; nothing is imported yet. */
final readonly class BeginImport
{
    public function __construct(private Importer $importer)
    {
    }

    /**
     * @param string $path where the file is kept
     *
     * @throws UnreadableFile
     */
    public function __invoke(?User $user, ImportKind $kind, string $path, string $fileName): Import
    {
        $source = $this->importer->recognise($path, $fileName, $kind);

        return Import::query()->create([
            'user_id' => $user?->id,
            'kind' => $kind,
            'file_name' => $fileName,
            'path' => $path,
            'mapping' => $source->mapping->toArray(),
            'state' => ImportState::Preview,
            'lines_total' => $source->calendar ? 0 : (new CsvFile($path))->size() - ($source->mapping->header ? 1 : 0),
            'faults' => [],
        ])->refresh();
    }
}
