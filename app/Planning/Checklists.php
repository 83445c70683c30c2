<?php

declare(strict_types=1);

namespace App\Planning;

use App\Data\ChecklistData;
use App\Data\ChecklistLineData;
use App\Models\Candidate;
use App\Models\Setup as SetupRow;
use App\Models\SetupKind;
use App\Reading\EarningsAhead;
use Watchpost\Core\Market\Series;
use Watchpost\Core\Setups\Checklist\Evening;
use Watchpost\Core\Setups\Checklist\Judges;
use Watchpost\Core\Setups\Checklist\Standing;
use Watchpost\Core\Setups\PlanFigures;
use Watchpost\Core\Setups\Setup;

/** How the checklist of a setup's kind stands: what the program can judge is judged, the rest is ticked. */
final readonly class Checklists
{
    public function __construct(private EarningsAhead $earnings)
    {
    }

    /**
     * @param Setup|null $setup null while entry or stop is missing
     * @param float|null $atr   average true range, in units
     */
    public function of(Candidate $candidate, SetupRow $row, SetupKind $kind, ?Setup $setup, Series $days, ?float $atr): ChecklistData
    {
        $close = $days->lastClose();
        $ahead = $this->earnings->of($candidate->instrument);
        $evening = new Evening($setup === null || $close === null ? null : new PlanFigures($setup, $close), $days, $atr, $ahead[1] ?? null, $setup->timeStop ?? $row->good_for);
        $lines = array_map(fn (array $line): ChecklistLineData => $this->line($line, $row, $evening), $kind->checklist);

        return new ChecklistData(
            count(array_filter($lines, static fn (ChecklistLineData $line): bool => $line->standing === Standing::Met)),
            count($lines),
            $lines,
        );
    }

    /** @param array{kind: string, value: string} $line */
    private function line(array $line, SetupRow $row, Evening $evening): ChecklistLineData
    {
        if ($line['kind'] === SetupKind::OWN) {
            return new ChecklistLineData($line['value'], in_array($line['value'], $row->ticked, true) ? Standing::Met : Standing::NotYet, '', false);
        }
        $judge = Judges::read($line['kind'], $line['value']);
        $verdict = $judge->judge($evening);

        return new ChecklistLineData(ucfirst($judge->describe()), $verdict->standing, $verdict->value, true);
    }
}
