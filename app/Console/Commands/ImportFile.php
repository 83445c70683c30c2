<?php

declare(strict_types=1);

namespace App\Console\Commands;

use App\Actions\BeginImport;
use App\Enums\ImportKind;
use App\Enums\ImportState;
use App\Import\DateReader;
use App\Import\Fields;
use App\Import\Importer;
use App\Import\ImportRun;
use App\Import\Mapping;
use App\Import\UnreadableFile;
use App\Models\Import;
use Illuminate\Console\Command;

/** Imports a file by command line: the same checks, the same report as on the Data page. */
final class ImportFile extends Command
{
    protected $signature = 'watchpost:import {file : a CSV file, or .ics for events}
        {--kind=bars : bars, instruments or events}
        {--symbol= : of all bars, when no column tells it}
        {--timeframe= : 5m or 1d, when no column tells it}
        {--delimiter= : one character}
        {--dates= : format of the dates}
        {--zone= : time zone of the times}
        {--decimal= : . or ,}
        {--column=* : field=number of the column, from 1}
        {--check : only check, write nothing}';

    protected $description = 'Import bars, instruments or events from a file';

    public function handle(BeginImport $begin, Importer $importer, ImportRun $run): int
    {
        $file = $this->argument('file');
        $kind = ImportKind::tryFrom((string) $this->option('kind'));
        if ($kind === null) {
            return $this->refuse('--kind is bars, instruments or events.');
        }
        try {
            $import = $begin(null, $kind, (string) realpath($file) ?: $file, basename($file));
            $import->update(['mapping' => $this->mapping(Mapping::fromArray($import->mapping))->toArray()]);
            $this->preview($import, $importer);
            $missing = Fields::missing($kind, Mapping::fromArray($import->mapping));
            if ($missing !== []) {
                return $this->refuse('No column is known for: '.implode(', ', $missing).'. Name it with --column=field=number'.(in_array('symbol', $missing, true) ? ', or the symbol with --symbol' : '').'.');
            }
            if ($this->option('check')) {
                return $this->check($import, $importer);
            }
            $import->update(['state' => ImportState::Queued]);
            $run->run($import);

            return $this->report($import->refresh());
        } catch (UnreadableFile|\InvalidArgumentException $fault) {
            return $this->refuse($fault->getMessage());
        }
    }

    private function mapping(Mapping $found): Mapping
    {
        $columns = $found->columns;
        /** @var list<string> $pairs */
        $pairs = $this->option('column');
        foreach ($pairs as $pair) {
            [$field, $number] = explode('=', $pair, 2) + [1 => ''];
            if (! ctype_digit($number) || (int) $number < 1) {
                throw new \InvalidArgumentException("--column={$pair}: it is written as field=number, the first column being 1.");
            }
            $columns[$field] = (int) $number - 1;
        }
        $dates = (string) ($this->option('dates') ?? $found->dates);
        if (! isset(DateReader::FORMATS[$dates])) {
            throw new \InvalidArgumentException('--dates is one of: '.implode('  ', array_keys(DateReader::FORMATS)));
        }
        $zone = (string) ($this->option('zone') ?? $found->zone);
        if (! in_array($zone, \DateTimeZone::listIdentifiers(), true)) {
            throw new \InvalidArgumentException("--zone={$zone}: there is no such time zone.");
        }
        $option = function (string $name, string $else): string {
            $value = $this->option($name);

            return is_string($value) ? $value : $else;
        };

        return new Mapping($option('delimiter', $found->delimiter), $found->header, $columns, $dates, $zone, $option('timeframe', $found->timeFrame), $option('symbol', $found->symbol), $option('decimal', $found->decimal));
    }

    private function preview(Import $import, Importer $importer): void
    {
        $mapping = Mapping::fromArray($import->mapping);
        $this->line("{$import->file_name}: {$import->kind->label()}, delimiter “{$mapping->delimiter}”, dates as {$mapping->dates} in {$mapping->zone}, decimal sign “{$mapping->decimal}”".($mapping->header ? '' : ', no line of names'));
        $columns = array_map(static fn (string $field, int $number): string => "{$field} = ".($number + 1), array_keys($mapping->columns), $mapping->columns);
        $this->line('columns: '.implode(', ', $columns));
        if (Fields::missing($import->kind, $mapping) === []) {
            $rows = $importer->preview(ImportRun::source($import))['rows'];
            $rows === [] || $this->table(array_keys($rows[0]), $rows);
        }
    }

    private function check(Import $import, Importer $importer): int
    {
        $check = $importer->check(ImportRun::source($import), static fn (): bool => true);
        $import->update(['fault_count' => $check->faultCount, 'faults' => $check->faults, 'lines_total' => $check->lines]);
        $this->faults($import->refresh());
        $this->line("{$check->lines} lines checked, nothing written.");

        return $check->faultCount === 0 ? self::SUCCESS : self::FAILURE;
    }

    private function report(Import $import): int
    {
        $this->faults($import);
        if ($import->state !== ImportState::Done) {
            return $this->refuse($import->message ?? 'Nothing was imported.');
        }
        $this->info("{$import->lines_total} lines: {$import->added} added, {$import->unchanged} known, {$import->corrected} corrected, {$import->held_back} held back.");

        return self::SUCCESS;
    }

    private function faults(Import $import): void
    {
        foreach ($import->faults as $fault) {
            $this->line("line {$fault['line']}, {$fault['field']}: {$fault['reason']}   [{$fault['text']}]");
        }
        if ($import->fault_count > count($import->faults)) {
            $this->line('and '.($import->fault_count - count($import->faults)).' more');
        }
    }

    private function refuse(string $message): int
    {
        $this->error($message);

        return self::FAILURE;
    }
}
