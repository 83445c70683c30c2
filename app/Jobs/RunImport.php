<?php

declare(strict_types=1);

namespace App\Jobs;

use App\Enums\ImportState;
use App\Import\ImportRun;
use App\Models\Import;
use Illuminate\Contracts\Queue\ShouldQueue;
use Illuminate\Foundation\Queue\Queueable;

/** Checks and writes a file in the background. */
final class RunImport implements ShouldQueue
{
    use Queueable;

    public int $timeout = 1_800;
    public int $tries = 1;

    public function __construct(public readonly int $importId)
    {
    }

    public function handle(ImportRun $run): void
    {
        $run->run(Import::query()->findOrFail($this->importId));
    }

    public function failed(?\Throwable $e): void
    {
        Import::query()->whereKey($this->importId)->update([
            'state' => ImportState::Failed,
            'message' => 'Nothing was imported: '.mb_substr($e?->getMessage() ?? 'it was stopped before its end', 0, 300),
        ]);
    }
}
