<?php

declare(strict_types=1);

namespace Watchpost\Core\Rehearsal;

use Watchpost\Core\InvalidInput;
use Watchpost\Core\Market\TimeFrame;
use Watchpost\Core\Outcomes\Costs;
use Watchpost\Core\Outcomes\EventKind;
use Watchpost\Core\Outcomes\OtherBarList;
use Watchpost\Core\Outcomes\OtherBars;
use Watchpost\Core\Outcomes\Outcome;
use Watchpost\Core\Outcomes\OutcomeEngine;
use Watchpost\Core\Outcomes\OutcomeStatus;
use Watchpost\Core\Outcomes\SetupRun;
use Watchpost\Core\Outcomes\Terms;
use Watchpost\Core\Setups\Draft;
use Watchpost\Core\Setups\Setup;

/**
 * The same setup rule, run over the past: on every evening on which its kind of level lay where it lies tonight, the
 * setup is put at it, published at the close, and judged by the engine that keeps the record, on day bars. One at a time
 * on an instrument: the next begins when the one before is over, so that no move of price counts twice.
 *
 * Nothing of a case before its publication depends on a later bar. Source: product.md, rehearsal; rules.md.
 */
final readonly class Rehearsal
{
    /** Bars without which no level is read. */
    private const LEAST_BARS = 60;

    public function __construct(
        private Rule $rule,
        private Costs $costs = new Costs(),
        private OtherBars $others = new OtherBarList(),
        private OutcomeEngine $engine = new OutcomeEngine(),
    ) {
    }

    /**
     * Why the rule cannot be rehearsed on day bars; null when it can.
     */
    public static function refusal(Rule $rule): ?string
    {
        try {
            $rule->setup->draft->toSetup($rule->setup->grid, 0, 1, base: TimeFrame::Day);
        } catch (InvalidInput $fault) {
            return ucfirst($fault->getMessage()).'. A rehearsal runs on day bars.';
        }

        return null;
    }

    /**
     * @param int $sessions how many evenings, up to the last bar
     *
     * @return list<RehearsedCase> in order of time
     */
    public function over(Past $past, int $sessions): array
    {
        $count = count($past->bars);
        $cases = [];
        for ($evening = max(self::LEAST_BARS, $count - 1 - $sessions); $evening < $count - 1; ++$evening) {
            $level = $past->levelOn($evening, $this->rule);
            $draft = $level === null ? null : $this->put($past, $evening, $level);
            if ($level === null || $draft === null) {
                continue;
            }
            [$case, $end] = $this->judge($past, $evening, $level, $draft);
            $cases[] = $case;
            // the evening of the session in which it ended is the next
            $evening = max($evening, $end - 1);
        }

        return $cases;
    }

    /**
     * One case again, with its setup and all that happened.
     *
     * @return array{Setup, Outcome}|null null when there is no such evening
     */
    public function again(Past $past, string $session, int $level): ?array
    {
        $evening = array_search($session, $past->series->session, true);
        $draft = is_int($evening) ? $this->put($past, $evening, $level) : null;
        if (! is_int($evening) || $draft === null) {
            return null;
        }
        [$run] = $this->run($past, $evening, $draft);

        return [$run->setup, $this->engine->outcome($run, $this->known($past))];
    }

    /** The setup at a level of an evening; null when a price of it would be none, or the rules refuse it there. */
    private function put(Past $past, int $evening, int $level): ?Draft
    {
        $range = $past->rangeOn($evening);
        $draft = $range === null ? null : $this->rule->setup->put($past->series->grid, $level, $range);

        return $draft === null || $draft->problems($past->series->grid) !== [] ? null : $draft;
    }

    /** @return array{RehearsedCase, int} the case, and the index of the bar with which it ended */
    private function judge(Past $past, int $evening, int $level, Draft $draft): array
    {
        [$run, $end] = $this->run($past, $evening, $draft);
        $outcome = $this->engine->outcome($run, $this->known($past));
        $targets = array_filter($outcome->events, static fn ($event): bool => $event->kind === EventKind::Target);
        $isOver = ! $outcome->status->isAlive();
        // that the wait is over is seen at the next bar, and known the evening before
        $end = $outcome->status === OutcomeStatus::NotTriggered ? min($end, $evening + $draft->goodFor) : $end;

        return [new RehearsedCase(
            $past->symbol,
            $past->series->session[$evening],
            $level,
            $outcome->status,
            $outcome->r,
            $targets !== [],
            $outcome->ambiguous,
            $outcome->firstFillAt === null ? null : $this->sessionOf($outcome),
            $isOver ? $past->series->session[$end] : null,
        ), $end];
    }

    private function sessionOf(Outcome $outcome): ?string
    {
        foreach ($outcome->events as $event) {
            if ($event->kind === EventKind::Fill) {
                return $event->session;
            }
        }

        return null;
    }

    /** @return array{SetupRun, int} the run, and the index of the last bar it was fed */
    private function run(Past $past, int $evening, Draft $draft): array
    {
        $bars = $past->bars;
        $last = count($bars) - 1;
        // a pause of the calendar lies between two bars, so the close of the n-th bar after it is that of the n-th session
        $until = $bars[min($last, $evening + $draft->goodFor)]->end + ($evening + $draft->goodFor > $last ? 1 : 0);
        $setup = $draft->toSetup($past->series->grid, $bars[$evening]->end, max($until, $bars[$evening]->end + 1), base: TimeFrame::Day);
        $run = new SetupRun($setup, new Terms($past->series->grid, TimeFrame::Day, $past->sessions, $this->costs, others: $this->others));
        for ($i = max(0, $evening + 1 - $setup->lookBack()); $i <= $last && ! $run->isOver(); ++$i) {
            $this->engine->feed($run, $bars[$i]);
        }

        return [$run, max($evening + 1, $i - 1)];
    }

    private function known(Past $past): int
    {
        return $past->bars[count($past->bars) - 1]->end;
    }
}
