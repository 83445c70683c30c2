<?php

declare(strict_types=1);

namespace App\Record;

use App\Clock\MarketClock;
use App\Market\BarRepository;
use App\Market\Calendars;
use App\Market\Splits;
use App\Models\Instrument;
use App\Models\Outcome as OutcomeRow;
use Watchpost\Core\Market\Bar;
use Watchpost\Core\Market\SessionBook;
use Watchpost\Core\Market\Split;
use Watchpost\Core\Market\TimeFrame;
use Watchpost\Core\Outcomes\Outcome;
use Watchpost\Core\Outcomes\OutcomeEngine;
use Watchpost\Core\Outcomes\RunStore;
use Watchpost\Core\Outcomes\SetupRun;
use Watchpost\Core\Outcomes\SplitScale;
use Watchpost\Core\Outcomes\Terms;
use Watchpost\Core\Setups\Setup;

/** The runs of published setups: taken up where they were left, and told as of a moment. */
final readonly class Runs
{
    /** Days beyond the last bar whose sessions are listed: the end of a quarter must be known. */
    private const DAYS_AHEAD = 100;
    private const DAY = 86_400;

    public function __construct(
        private OutcomeEngine $engine,
        private Calendars $calendars,
        private Splits $splits,
        private BarRepository $bars,
        private MarketClock $clock,
    ) {
    }

    /** The run of a setup as it was left when it was evaluated last. */
    public function left(SealedSetup $sealed, Instrument $instrument, OutcomeRow $row): SetupRun
    {
        return RunStore::load($row->run, $sealed->setup, $this->terms($sealed, $instrument, $this->lastBarOf($row), $row->as_of));
    }

    /**
     * The run of a setup to be followed on. A split since it was left may need a finer scale, and a newer version may
     * keep other things in mind: then it begins anew, and all bars are fed again.
     */
    public function takeUp(SealedSetup $sealed, Instrument $instrument, ?OutcomeRow $row): SetupRun
    {
        $terms = $this->terms($sealed, $instrument, $row === null ? null : $this->lastBarOf($row));

        return $row === null || ($row->run['form'] ?? 1) !== RunStore::FORM || $row->run['scale'] !== $terms->scale->published
            ? new SetupRun($sealed->setup, $terms)
            : RunStore::load($row->run, $sealed->setup, $terms);
    }

    /**
     * The bars to be fed to a run next: for a new one from as far back as the setup looks.
     *
     * @return list<Bar>
     */
    public function next(SetupRun $run, Instrument $instrument): array
    {
        $from = $run->lastBar !== null
            ? $run->lastBar->start + 1
            : $this->firstBarOf($run->setup, $instrument, $run->terms->base);

        return $this->bars->from($instrument, $run->terms->base, $from);
    }

    public function outcome(SetupRun $run, int $asOf): Outcome
    {
        return $this->engine->outcome($run, $asOf);
    }

    /** @param int|null $from the last bar that was fed; null for a new run */
    private function terms(SealedSetup $sealed, Instrument $instrument, ?int $from, int $until = PHP_INT_MAX): Terms
    {
        $setup = $sealed->setup;
        $calendar = $this->calendars->of($instrument);
        $acting = $this->splits->since($instrument, $setup->publishedAt, $until);
        $first = $acting[0]->session ?? '9999';
        $listed = $calendar->between(
            $calendar->dateOf($from ?? $this->firstBarOf($setup, $instrument, $sealed->judgedOn)),
            $calendar->dateOf($this->clock->moment() + self::DAY * ($setup->listensBeyondSessions() ? self::DAYS_AHEAD : 1)),
        );

        return new Terms(
            $sealed->grid,
            $sealed->judgedOn,
            new SessionBook($listed),
            $sealed->costs,
            new SplitScale($acting, array_values(array_filter($this->splits->of($instrument), static fn (Split $split): bool => $split->session < $first && ! in_array($split, $acting, true)))),
            new MarketBars($sealed->judgedOn),
        );
    }

    private function firstBarOf(Setup $setup, Instrument $instrument, TimeFrame $base): int
    {
        return $this->bars->startOfSessionBefore($instrument, $base, $setup->publishedAt, $setup->lookBack());
    }

    private function lastBarOf(OutcomeRow $row): ?int
    {
        return $row->run['last_bar'][0] ?? null;
    }
}
