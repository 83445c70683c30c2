<?php

declare(strict_types=1);

namespace App\Record;

use App\Clock\MarketClock;
use App\Market\BarRepository;
use App\Market\Calendars;
use App\Market\Splits;
use App\Models\Instrument;
use App\Models\Outcome as OutcomeRow;
use App\Models\PublishedSetup;
use App\Publishing\EditionReader;
use Watchpost\Core\Market\Bar;
use Watchpost\Core\Market\SessionBook;
use Watchpost\Core\Market\Split;
use Watchpost\Core\Market\TimeFrame;
use Watchpost\Core\Outcomes\GroupEngine;
use Watchpost\Core\Outcomes\Outcome;
use Watchpost\Core\Outcomes\RunStore;
use Watchpost\Core\Outcomes\SetupRun;
use Watchpost\Core\Outcomes\SplitScale;
use Watchpost\Core\Outcomes\Terms;
use Watchpost\Core\Setups\Setup;
use Watchpost\Core\Setups\Update;

/** The runs of published setups: taken up where they were left, and told as of a moment. */
final readonly class Runs
{
    /** Days beyond the last bar whose sessions are listed: the end of a quarter must be known. */
    private const DAYS_AHEAD = 100;
    private const DAY = 86_400;

    public function __construct(
        private GroupEngine $engine,
        private EditionReader $editions,
        private Calendars $calendars,
        private Splits $splits,
        private BarRepository $bars,
        private MarketClock $clock,
    ) {
    }

    /**
     * The run of a published setup as it was left when it was evaluated last, and what it came to by then. Of a group all
     * are told together: what is known to have closed only later may fill one of them.
     *
     * @return array{SetupRun, Outcome}
     */
    public function told(PublishedSetup $published, SealedSetup $sealed, OutcomeRow $row): array
    {
        $run = $this->left($sealed, $published->instrument, $row);
        if ($published->group === null || $run->isOver() || $run->position->wasFilled()) {
            return [$run, $this->engine->outcomes([$run], $row->as_of)[0]];
        }
        $runs = [];
        foreach ($published->together() as $member) {
            $other = $row->is_managed ? $member->managed : $member->outcome;
            if ($other !== null) {
                $runs[$member->id] = $member->id === $published->id ? $run : $this->left($this->editions->setup($member->edition, $member->key), $published->instrument, $other);
            }
        }
        $place = array_search($published->id, array_keys($runs), true);

        return [$run, $this->engine->outcomes(array_values($runs), $row->as_of)[(int) $place]];
    }

    private function left(SealedSetup $sealed, Instrument $instrument, OutcomeRow $row): SetupRun
    {
        return RunStore::load($row->run, $sealed->setup, $this->terms($sealed, $instrument, $this->lastBarOf($row), $row->as_of));
    }

    /**
     * The runs of setups that are judged together, to be followed on. A split since they were left may need a finer scale,
     * and a newer version may keep other things in mind: then all begin anew, and all bars are fed again.
     *
     * @param list<SealedSetup>    $sealed
     * @param list<OutcomeRow|null> $rows   how each was left; null for one that was not evaluated yet
     * @param list<list<Update>>    $updates that are applied to each; none to follow them as published
     *
     * @return list<SetupRun>
     */
    public function takeUp(array $sealed, Instrument $instrument, array $rows, array $updates = []): array
    {
        $runs = [];
        foreach ($sealed as $i => $one) {
            $row = $rows[$i] ?? null;
            $terms = $this->terms($one, $instrument, $row === null ? null : $this->lastBarOf($row), updates: $updates[$i] ?? []);
            if ($row === null || ($row->run['form'] ?? 1) !== RunStore::FORM || $row->run['scale'] !== $terms->scale->published) {
                return $this->begin($sealed, $instrument, $updates);
            }
            $runs[] = RunStore::load($row->run, $one->setup, $terms);
        }

        return $runs;
    }

    /**
     * The bars to be fed to runs next: to new ones from as far back as any of them looks.
     *
     * @param list<SetupRun> $runs
     *
     * @return list<Bar>
     */
    public function next(array $runs, Instrument $instrument): array
    {
        $from = PHP_INT_MAX;
        foreach ($runs as $run) {
            if (! $run->isOver()) {
                $from = min($from, $run->lastBar !== null ? $run->lastBar->start + 1 : $this->firstBarOf($run->setup, $instrument, $run->terms->base));
            }
        }

        if ($runs === [] || $from === PHP_INT_MAX) {
            return [];
        }
        $isNew = array_filter($runs, static fn (SetupRun $run): bool => $run->lastBar !== null) === [];
        $bySessions = array_filter($runs, static fn (SetupRun $run): bool => ! $run->setup->looksBackBySessions()) === [];

        return $isNew && $bySessions ? $this->bars->fromSessions($instrument, $runs[0]->terms->base, $from, $runs[0]->setup->publishedAt) : $this->bars->from($instrument, $runs[0]->terms->base, $from);
    }

    /**
     * @param list<SealedSetup>  $sealed
     * @param list<list<Update>> $updates
     *
     * @return list<SetupRun>
     */
    private function begin(array $sealed, Instrument $instrument, array $updates): array
    {
        $first = min(array_map(fn (SealedSetup $one): int => $this->firstBarOf($one->setup, $instrument, $one->judgedOn), $sealed) ?: [0]);

        return array_map(fn (SealedSetup $one, int $i): SetupRun => new SetupRun($one->setup, $this->terms($one, $instrument, $first, updates: $updates[$i] ?? [])), $sealed, array_keys($sealed));
    }

    /**
     * @param int|null     $from    the last bar that was fed, or the first that will be; null for a new run that looks back by itself
     * @param list<Update> $updates
     */
    private function terms(SealedSetup $sealed, Instrument $instrument, ?int $from, int $until = PHP_INT_MAX, array $updates = []): Terms
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
            $updates,
        );
    }

    private function firstBarOf(Setup $setup, Instrument $instrument, TimeFrame $base): int
    {
        $fine = $this->bars->startOfSessionBefore($instrument, $base, $setup->publishedAt, $setup->lookBack());

        return $setup->looksBackBySessions() ? min($fine, $this->bars->startOfSessionBefore($instrument, TimeFrame::Day, $setup->publishedAt, $setup->lookBack())) : $fine;
    }

    private function lastBarOf(OutcomeRow $row): ?int
    {
        return $row->run['last_bar'][0] ?? null;
    }
}
