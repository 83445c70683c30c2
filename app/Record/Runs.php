<?php

declare(strict_types=1);

namespace App\Record;

use App\Models\Outcome as OutcomeRow;
use Watchpost\Core\Market\ExchangeCalendar;
use Watchpost\Core\Market\SessionBook;
use Watchpost\Core\Outcomes\Outcome;
use Watchpost\Core\Outcomes\OutcomeEngine;
use Watchpost\Core\Outcomes\RunStore;
use Watchpost\Core\Outcomes\SetupRun;

/** The runs of published setups: taken up where they were left, and told as of a moment. */
final readonly class Runs
{
    public function __construct(private OutcomeEngine $engine, private ExchangeCalendar $calendar)
    {
    }

    public function takeUp(SealedSetup $sealed, ?OutcomeRow $row): SetupRun
    {
        return $row === null
            ? new SetupRun($sealed->setup, $sealed->grid, $sealed->costs)
            : RunStore::load($row->run, $sealed->setup, $sealed->grid, $sealed->costs);
    }

    public function outcome(SetupRun $run, int $asOf): Outcome
    {
        $sessions = $this->calendar->between($this->calendar->dateOf($run->setup->publishedAt), $this->calendar->dateOf($asOf));

        return $this->engine->outcome($run, $asOf, new SessionBook($sessions));
    }
}
