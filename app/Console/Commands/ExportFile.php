<?php

declare(strict_types=1);

namespace App\Console\Commands;

use App\Enums\ImportKind;
use App\Import\Exporter;
use App\Models\Instrument;
use Illuminate\Console\Command;
use Watchpost\Core\Market\TimeFrame;

/** Writes what an import reads to standard output. */
final class ExportFile extends Command
{
    protected $signature = 'watchpost:export {kind : bars, instruments or events} {--symbol= : of bars} {--timeframe=1d : of bars, 5m or 1d} {--calendar : events as iCalendar}';

    protected $description = 'Export bars, instruments or events to standard output';

    public function handle(Exporter $exporter): int
    {
        $kind = ImportKind::tryFrom($this->argument('kind'));
        $instrument = Instrument::query()->where('symbol', (string) $this->option('symbol'))->first();
        if ($kind === null || ($kind === ImportKind::Bars && $instrument === null)) {
            $this->error($kind === null ? 'The kind is bars, instruments or events.' : 'Name a known instrument with --symbol.');

            return self::FAILURE;
        }
        if ($kind === ImportKind::Events && $this->option('calendar') === true) {
            $this->output->write($exporter->calendar());

            return self::SUCCESS;
        }
        $stream = fopen('php://temp', 'w+');
        \assert($stream !== false);
        Exporter::write(match (true) {
            $kind === ImportKind::Bars && $instrument !== null => $exporter->bars($instrument, $this->option('timeframe') === '5m' ? TimeFrame::FiveMinutes : TimeFrame::Day),
            $kind === ImportKind::Instruments => $exporter->instruments(),
            default => $exporter->events(),
        }, $stream);
        rewind($stream);
        while (($line = fgets($stream)) !== false) {
            $this->output->write($line);
        }

        return self::SUCCESS;
    }
}
