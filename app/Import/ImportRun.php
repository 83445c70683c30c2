<?php

declare(strict_types=1);

namespace App\Import;

use App\Enums\ImportState;
use App\Models\Import;

/** Takes a stored import through its steps, and writes down how it goes. */
final readonly class ImportRun
{
    public function __construct(private Importer $importer)
    {
    }

    public function run(Import $import): void
    {
        // begun only while it is queued: a cancel that came first stands, and a second worker leaves it alone
        $begun = Import::query()->whereKey($import->id)->where('state', ImportState::Queued)->update(['state' => ImportState::Checking, 'lines_done' => 0]);
        if ($begun === 0) {
            return;
        }
        $import->refresh();
        try {
            $this->checkAndWrite($import, self::source($import));
        } catch (UnreadableFile $fault) {
            $import->update(['state' => ImportState::Refused, 'message' => $fault->getMessage().' Nothing was imported.']);
        }
    }

    public static function source(Import $import): Source
    {
        return new Source($import->path, $import->kind, Mapping::fromArray($import->mapping), Source::isCalendar($import->file_name));
    }

    private function checkAndWrite(Import $import, Source $source): void
    {
        $check = $this->importer->check($source, static function (int $done) use ($import): bool {
            $import->update(['lines_done' => $done]);

            return Import::query()->whereKey($import->id)->value('state') !== ImportState::Cancelled;
        });
        $import->update(['lines_total' => max($check->lines, $check->stopped ? $import->lines_total : 0), 'lines_done' => $check->lines, 'fault_count' => $check->faultCount, 'faults' => $check->faults]);
        if ($check->stopped) {
            $import->update(['message' => 'Cancelled while it was checked. Nothing was imported.']);

            return;
        }
        if ($check->faultCount > 0) {
            $import->update(['state' => ImportState::Refused, 'message' => $check->faultCount === 1 ? 'One line cannot be read. Nothing was imported.' : "{$check->faultCount} lines cannot be read. Nothing was imported."]);

            return;
        }
        // from here on it is one transaction, which nobody can watch or stop
        $begun = Import::query()->whereKey($import->id)->where('state', ImportState::Checking)->update(['state' => ImportState::Writing]);
        if ($begun === 0) {
            return;
        }
        $tally = $this->importer->write($source, $import->id);
        $import->refresh()->update([
            'state' => ImportState::Done,
            'added' => $tally->added,
            'unchanged' => $tally->unchanged,
            'corrected' => $tally->corrected,
            'held_back' => $tally->heldBack,
            'message' => null,
        ]);
    }
}
