<?php

declare(strict_types=1);

namespace App\Import;

use App\Clock\MarketClock;
use App\Enums\ImportKind;
use App\Market\BarStore;
use App\Market\Calendars;
use App\Market\ReferenceStore;
use App\Publishing\EditionReader;
use App\Record\JudgedBars;
use Illuminate\Database\Connection;

/**
 * Brings in a file: first every line is checked, then all are written in one transaction. A file with a fault writes
 * nothing.
 */
final readonly class Importer
{
    public const FAULTS_KEPT = 200;
    private const ROWS_AT_ONCE = 5_000;
    private const PREVIEW_ROWS = 8;

    public function __construct(
        private Connection $db,
        private BarStore $bars,
        private ReferenceStore $references,
        private Calendars $calendars,
        private MarketClock $clock,
        private EditionReader $editions,
    ) {
    }

    /**
     * How a file is read, as far as can be recognised.
     *
     * @throws UnreadableFile
     */
    public function recognise(string $path, string $fileName, ImportKind $kind): Source
    {
        $zone = $this->calendars->home()->zone->getName();
        if (Source::isCalendar($fileName)) {
            if ($kind !== ImportKind::Events) {
                throw new UnreadableFile('A calendar file holds events.');
            }

            return new Source($path, $kind, new Mapping(columns: array_flip(CalendarFile::COLUMNS), zone: $zone), true);
        }

        return new Source($path, $kind, (new Recogniser())->recognise(new CsvFile($path), $kind, $zone));
    }

    /**
     * The first rows as they would be read, and what is wrong with them.
     *
     * @return array{rows: list<array<string, string>>, faults: list<array{line: int, field: string, reason: string, text: string}>}
     *
     * @throws UnreadableFile
     */
    public function preview(Source $source): array
    {
        $rows = $this->rows($source);
        $shown = $faults = [];
        foreach ($source->lines() as $number => $line) {
            try {
                $rows->take($line, $number);
                $shown[] = ['line' => (string) $number, ...$rows->last()];
            } catch (LineFault $fault) {
                $faults[] = self::fault($number, $fault, $line);
            }
            if (count($shown) + count($faults) >= self::PREVIEW_ROWS) {
                break;
            }
        }

        return ['rows' => $shown, 'faults' => $faults];
    }

    /**
     * Checks every line.
     *
     * @param callable(int): bool $goOn told the lines done now and then; false to stop
     *
     *
     * @throws UnreadableFile
     */
    public function check(Source $source, callable $goOn): Check
    {
        $rows = $this->rows($source);
        $faults = [];
        $count = $done = 0;
        foreach ($source->lines() as $number => $line) {
            try {
                $rows->take($line, $number);
            } catch (LineFault $fault) {
                if (++$count <= self::FAULTS_KEPT) {
                    $faults[] = self::fault($number, $fault, $line);
                }
            }
            if (++$done % self::ROWS_AT_ONCE === 0) {
                $rows->drop();
                if (! $goOn($done)) {
                    return new Check($done, $count, $faults, true);
                }
            }
        }

        return new Check($done, $count, $faults, false);
    }

    /**
     * Writes every line of a file that was found without a fault; all or none.
     *
     * @throws UnreadableFile|LineFault when the file is no longer the one that was checked
     */
    public function write(Source $source, ?int $importId = null): Tally
    {
        return $this->db->transaction(function () use ($source, $importId): Tally {
            $rows = $this->rows($source);
            $tally = new Tally($importId);
            $taken = 0;
            foreach ($source->lines() as $number => $line) {
                $rows->take($line, $number);
                if (++$taken % self::ROWS_AT_ONCE === 0) {
                    $rows->write($tally);
                }
            }
            $rows->write($tally);

            return $tally;
        });
    }

    private function rows(Source $source): Rows
    {
        return match ($source->kind) {
            ImportKind::Bars => new BarRows($source->mapping, $this->db, $this->bars, $this->calendars, new JudgedBars($this->editions), $this->clock),
            ImportKind::Instruments => new InstrumentRows($this->db, $this->calendars),
            ImportKind::Events => new EventRows($source->mapping, $this->references),
        };
    }

    /** @return array{line: int, field: string, reason: string, text: string} */
    private static function fault(int $number, LineFault $fault, Line $line): array
    {
        return ['line' => $number, 'field' => $fault->field, 'reason' => $fault->getMessage(), 'text' => mb_substr($line->all(), 0, 160)];
    }
}
