<?php

declare(strict_types=1);

namespace App\Feeds;

use App\Enums\ImportKind;
use App\Enums\ImportState;
use App\Import\Fields;
use App\Import\Importer;
use App\Import\ImportRun;
use App\Import\UnreadableFile;
use App\Market\Calendars;
use App\Models\Import;
use Illuminate\Filesystem\Filesystem;

/**
 * A watched folder: files named bars-…, instruments-… or events-… (.csv, and .ics for events) are taken in and moved to
 * "done", or with a report beside them to "refused". A file that is still being written is left alone when its name
 * ends in .part. The clock decides what of it can be seen.
 */
final readonly class FolderFeed implements MarketFeed
{
    public function __construct(private Importer $importer, private ImportRun $runs, private Filesystem $files, private Calendars $calendars, private string $folder)
    {
    }

    public function name(): string
    {
        return "Watched folder {$this->folder}";
    }

    public function deliverUntil(int $moment): void
    {
        $this->takeIn();
    }

    /** @return list<FolderReport> what was done with each file found */
    public function takeIn(): array
    {
        $reports = [];
        foreach ($this->waiting() as $name) {
            $reports[] = $this->takeFile($name);
        }
        // exchanges may have changed hours with the files; nothing of the old ones is kept in mind
        $this->calendars->forget();

        return $reports;
    }

    /** @return list<string> names of the files that wait, instruments before what is told of them */
    public function waiting(): array
    {
        if (! $this->files->isDirectory($this->folder)) {
            return [];
        }
        $names = array_map(static fn (\SplFileInfo $file): string => $file->getFilename(), $this->files->files($this->folder));
        $known = array_values(array_filter($names, static fn (string $name): bool => preg_match('/^(bars|instruments|events)\b.*\.(csv|ics)$/i', $name) === 1));
        usort($known, static fn (string $a, string $b): int => [! str_starts_with($a, 'instruments'), $a] <=> [! str_starts_with($b, 'instruments'), $b]);

        return $known;
    }

    private function takeFile(string $name): FolderReport
    {
        $path = $this->folder.'/'.$name;
        $kind = ImportKind::from(preg_match('/^[a-z]+/', mb_strtolower($name), $m) === 1 ? $m[0] : '');
        try {
            $source = $this->importer->recognise($path, $name, $kind);
            $missing = Fields::missing($kind, $source->mapping);
            if ($missing !== []) {
                throw new UnreadableFile('There is no column for: '.implode(', ', $missing).'.');
            }
        } catch (UnreadableFile $fault) {
            return $this->refuse($name, [$fault->getMessage()]);
        }
        $import = Import::query()->create(['kind' => $kind, 'file_name' => $name, 'path' => $path, 'mapping' => $source->mapping->toArray(), 'state' => ImportState::Queued, 'faults' => []]);
        $this->runs->run($import);
        if ($import->refresh()->state !== ImportState::Done) {
            $lines = array_map(static fn (array $fault): string => "line {$fault['line']}, {$fault['field']}: {$fault['reason']}", $import->faults);

            return $this->refuse($name, $lines === [] ? [$import->message ?? 'It could not be read.'] : $lines, $import);
        }
        $this->move($name, 'done', $import);

        return new FolderReport($name, true, "{$import->added} added, {$import->unchanged} known, {$import->corrected} corrected, {$import->held_back} held back");
    }

    /** @param non-empty-list<string> $reasons */
    private function refuse(string $name, array $reasons, ?Import $import = null): FolderReport
    {
        $this->move($name, 'refused', $import);
        $this->files->put("{$this->folder}/refused/{$name}.report.txt", implode("\n", $reasons)."\n");

        return new FolderReport($name, false, $reasons[0].(count($reasons) > 1 ? ' and '.(count($reasons) - 1).' more' : ''));
    }

    private function move(string $name, string $to, ?Import $import = null): void
    {
        $this->files->ensureDirectoryExists("{$this->folder}/{$to}");
        $this->files->move("{$this->folder}/{$name}", "{$this->folder}/{$to}/{$name}");
        $import?->update(['path' => "{$this->folder}/{$to}/{$name}"]);
    }
}
