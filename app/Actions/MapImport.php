<?php

declare(strict_types=1);

namespace App\Actions;

use App\Enums\ImportState;
use App\Import\Mapping;
use App\Models\Import;
use Illuminate\Validation\ValidationException;

/** Changes how the file of an import is read. */
final class MapImport
{
    public function __invoke(Import $import, Mapping $mapping): void
    {
        if ($import->state->isUnderWay() || $import->state === ImportState::Done) {
            throw ValidationException::withMessages(['import' => 'This import runs already, or is done.']);
        }
        $import->update(['mapping' => $mapping->toArray()]);
    }
}
