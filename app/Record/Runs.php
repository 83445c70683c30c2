<?php

declare(strict_types=1);

namespace App\Record;

use App\Market\Calendars;
use App\Market\Splits;
use App\Models\Instrument;
use App\Models\Outcome as OutcomeRow;
use Watchpost\Core\Market\SessionBook;
use Watchpost\Core\Outcomes\Outcome;
use Watchpost\Core\Outcomes\OutcomeEngine;
use Watchpost\Core\Outcomes\RunStore;
use Watchpost\Core\Outcomes\SetupRun;
use Watchpost\Core\Outcomes\SplitScale;

/** The runs of published setups: taken up where they were left, and told as of a moment. */
final readonly class Runs
{
    public function __construct(private OutcomeEngine $engine, private Calendars $calendars, private Splits $splits)
    {
    }

    /** The run of a setup as it was left when it was evaluated last. */
    public function left(SealedSetup $sealed, Instrument $instrument, OutcomeRow $row): SetupRun
    {
        $scale = new SplitScale($this->splits->since($instrument, $sealed->setup->publishedAt, $row->as_of));

        return RunStore::load($row->run, $sealed->setup, $sealed->grid, $sealed->costs, $scale);
    }

    /**
     * The run of a setup to be followed on. A split since it was left may need a finer scale: then it begins anew, and
     * all bars are fed again.
     */
    public function takeUp(SealedSetup $sealed, Instrument $instrument, ?OutcomeRow $row): SetupRun
    {
        $scale = new SplitScale($this->splits->since($instrument, $sealed->setup->publishedAt));

        return $row === null || ($row->run['scale'] ?? 1) !== $scale->published
            ? new SetupRun($sealed->setup, $sealed->grid, $sealed->costs, $scale)
            : RunStore::load($row->run, $sealed->setup, $sealed->grid, $sealed->costs, $scale);
    }

    public function outcome(SetupRun $run, Instrument $instrument, int $asOf): Outcome
    {
        $calendar = $this->calendars->of($instrument);
        $sessions = $calendar->between($calendar->dateOf($run->setup->publishedAt), $calendar->dateOf($asOf + 86_400));

        return $this->engine->outcome($run, $asOf, new SessionBook($sessions));
    }
}
