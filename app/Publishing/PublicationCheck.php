<?php

declare(strict_types=1);

namespace App\Publishing;

use App\Clock\MarketClock;
use App\Clock\TimeLabel;
use App\Data\CheckLineData;
use App\Enums\CandidateState;
use App\Market\Calendars;
use App\Market\ChartBuilder;
use App\Models\Candidate;
use App\Models\Instrument;
use App\Models\Level;
use App\Models\Plan;
use App\Models\PublishedSetup;
use App\Models\Setup;
use App\Planning\Exposure;
use App\Planning\GoodUntil;
use App\Planning\PlanParts;
use App\Planning\PriceInput;
use App\Planning\SetupReading;
use App\Reading\Limits;
use Watchpost\Core\InvalidInput;
use Watchpost\Core\Market\ExchangeCalendar;
use Watchpost\Core\Market\Series;
use Watchpost\Core\Setups\Conditions\IndexSide;

/**
 * What stops a plan from being published, and what its author should look at before.
 *
 * @phpstan-import-type CandidatePart from EditionComposer
 */
final readonly class PublicationCheck
{
    /** Day bars behind a warning. */
    private const SERIES = 60;

    public function __construct(
        private ExchangeCalendar $calendar,
        private MarketClock $clock,
        private GoodUntil $goodUntil,
        private ChartBuilder $charts,
        private SetupReading $reading,
        private Exposure $exposure,
        private EditionComposer $composer,
        private References $references,
        private Calendars $calendars,
        private TimeLabel $times,
    ) {
    }

    /** @return list<CheckLineData> */
    public function lines(Plan $plan): array
    {
        $lines = [];
        $candidates = $plan->candidates()->with(['instrument', 'setups', 'carried.edition'])->get();
        $session = $this->calendar->session($plan->session_date);
        if ($session === null || ($session->open <= $this->clock->moment() && ! $plan->is_late)) {
            $lines[] = new CheckLineData(true, 'The session of this plan has opened already: a plan comes before its session.', null);
        } elseif ($plan->is_late) {
            $lines[] = new CheckLineData(false, 'The session has opened already: the edition says so, and nothing before its publication counts.', null);
        }
        if ($plan->kind->needsCandidates() && $candidates->where('state', CandidateState::Kept)->isEmpty()) {
            $lines[] = new CheckLineData(true, 'No candidate is kept yet.', null);
        }
        foreach ($candidates as $candidate) {
            array_push($lines, ...$this->candidate($candidate, $plan));
        }
        array_push($lines, ...$this->words($plan));
        foreach ($this->exposure->warnings($plan, Limits::of($plan->author)) as $warning) {
            $lines[] = new CheckLineData(false, $warning, null);
        }

        return $lines;
    }

    /**
     * What is to be said of the texts: those that must be there, names that refer to nothing, symbols that are none.
     *
     * @return list<CheckLineData>
     */
    private function words(Plan $plan): array
    {
        $lines = [];
        foreach (PlanParts::of($plan->author)->required as $role) {
            if (array_filter($plan->parts, static fn (array $part): bool => $part['role'] === $role->value && trim($part['text']) !== '') === []) {
                $lines[] = new CheckLineData(true, "\"{$role->label()}\" is empty: your settings require it of every edition.", null, 'words');
            }
        }
        $written = array_filter($plan->parts, static fn (array $part): bool => trim($part['text']) !== '');
        $names = array_merge(...array_map(static fn (array $part): array => References::in($part['text']), array_values($written)));
        if ($names !== []) {
            $candidates = $this->sealed($plan);
            foreach ($written as $part) {
                foreach (References::in($part['text']) as $name) {
                    if ($this->references->ofPlan($name, $candidates) === null && $this->references->live($name) === null) {
                        $lines[] = new CheckLineData(true, "\"{$part['title']}\" names {{$name}}, which is nothing in this plan or in the record.", null, 'words');
                    }
                }
            }
        }
        /** @var list<string> $known */
        $known = Instrument::query()->pluck('symbol')->all();
        foreach ([...$written, ['title' => 'The bias', 'text' => $plan->bias]] as $part) {
            preg_match_all('/(?<![\w.{-])[A-Z][A-Z0-9-]+\.Q\b/', References::replace($part['text'], static fn (): string => ''), $found);
            foreach (array_diff(array_unique($found[0]), $known) as $symbol) {
                $near = Spelling::nearest($symbol, $known);
                $lines[] = new CheckLineData(false, "\"{$part['title']}\" says {$symbol}, which is no symbol known here".($near === null ? '.' : ": was {$near} meant?"), null, 'words');
            }
        }

        return $lines;
    }

    /**
     * The candidates as they would be published, those that are not ready left out.
     *
     * @return list<CandidatePart>
     */
    public function sealed(Plan $plan): array
    {
        $ready = $plan->candidates()->with(['setups', 'instrument'])->get()->reject(static fn (Candidate $candidate): bool => $candidate->state === CandidateState::Passed || ($candidate->state === CandidateState::Kept && $candidate->isPlanned()));
        try {
            return $this->composer->compose($plan, null, $this->clock->moment(), array_values($ready->modelKeys()))['candidates'];
        } catch (InvalidInput) {
            // what the rules refuse is told at its candidate
            return [];
        }
    }

    /** @return list<CheckLineData> */
    private function stale(Candidate $candidate, Series $days): array
    {
        $calendar = $this->calendars->of($candidate->instrument);
        $expected = $calendar->finished($this->clock->moment())->date;
        $last = $days->session[$days->count() - 1] ?? null;

        return $last !== null && $last >= $expected ? [] : [new CheckLineData(true, "{$candidate->instrument->symbol}: its prices are stale: ".($last === null ? 'there are none' : "the last are of {$this->times->shortDate($last)}").", and those of {$this->times->shortDate($expected)} are missing.", $candidate->id)];
    }

    /**
     * Prices that look like a slip of the decimal point: of levels in use, and of setups.
     *
     * @return list<CheckLineData>
     */
    private function slips(Candidate $candidate, Plan $plan, Series $days): array
    {
        $symbol = $candidate->instrument->symbol;
        $prices = new PriceInput($candidate->instrument->grid(), $days->lastClose());
        /** @var list<array{string, int|null}> $named */
        $named = $plan->levelsOn($candidate->instrument_id)->alive()->orderBy('id')->get()->map(static fn (Level $level): array => ["{$symbol}: the level", $level->price])->all();
        foreach ($candidate->setups as $row) {
            $draft = $row->draft();
            $of = "{$symbol}, ".($row->name === '' ? 'setup' : $row->name);
            $named[] = ["{$of}: the entry", $draft->entryPrice()];
            $named[] = ["{$of}: the stop", $draft->stop];
            foreach ($draft->targets as $i => $target) {
                $named[] = ["{$of}: target ".($i + 1), $target->price];
            }
        }
        $lines = [];
        foreach ($named as [$what, $price]) {
            $question = $price === null ? null : $prices->question($price);
            if ($question !== null) {
                $lines[] = new CheckLineData(false, "{$what} {$question}", $candidate->id);
            }
        }

        return $lines;
    }

    /** @return list<CheckLineData> */
    private function candidate(Candidate $candidate, Plan $plan): array
    {
        $symbol = $candidate->instrument->symbol;
        if ($candidate->state === CandidateState::Passed) {
            return [];
        }
        if ($candidate->state === CandidateState::New) {
            return [new CheckLineData(true, "{$symbol} is neither kept nor passed.", $candidate->id)];
        }
        if ($candidate->stillStands()) {
            $isAlive = $candidate->carried !== null && PublishedSetup::alive()->whereKey($candidate->carried->ofSameIdea()->modelKeys())->exists();

            return $isAlive ? [] : [new CheckLineData(true, "{$symbol} is told as still standing, but is over since: plan it anew, or pass it with a reason.", $candidate->id)];
        }
        if ($candidate->setups->isEmpty()) {
            return [new CheckLineData(true, "{$symbol} is kept but has no setup: plan it, or pass it with a reason.", $candidate->id)];
        }

        $days = $this->charts->series($candidate->instrument, self::SERIES);

        return array_merge($this->stale($candidate, $days), $this->slips($candidate, $plan, $days), ...$candidate->setups->map(fn (Setup $setup): array => $this->setup($candidate, $plan, $setup, $days))->values()->all());
    }

    /** @return list<CheckLineData> */
    private function setup(Candidate $candidate, Plan $plan, Setup $row, Series $days): array
    {
        $symbol = $candidate->instrument->symbol.($row->name === '' ? '' : ", {$row->name}");
        $draft = $row->draft();
        if (! $draft->isComplete()) {
            return [new CheckLineData(true, "{$symbol}: the setup has no ".implode(' and no ', $draft->missing()).' yet.', $candidate->id)];
        }
        try {
            $now = $this->clock->moment();
            $setup = $draft->toSetup($candidate->instrument->grid(), $now, $this->goodUntil->of($plan, $candidate->instrument, $draft->goodFor), $candidate->instrument->last_session);
        } catch (InvalidInput $fault) {
            return [new CheckLineData(true, "{$symbol}: {$fault->getMessage()}", $candidate->id)];
        }
        $lines = [];
        $end = $this->goodUntil->endOf($candidate->instrument);
        if ($end !== null && $setup->entryUntil > $end) {
            $lines[] = new CheckLineData(true, "{$symbol}: the contract ends on {$candidate->instrument->last_session}, before the setup does.", $candidate->id);
        }
        foreach ($setup->conditions as $condition) {
            if ($condition instanceof IndexSide && Instrument::query()->where('symbol', $condition->symbol)->doesntExist()) {
                $lines[] = new CheckLineData(true, "{$symbol}: a condition names {$condition->symbol}, which is not known here.", $candidate->id);
            }
        }
        foreach ($this->reading->warnings($candidate, $setup, $draft->goodFor, $days, $this->charts->atr($days), Limits::of($plan->author)) as $warning) {
            $lines[] = new CheckLineData(false, "{$symbol}: ".lcfirst($warning), $candidate->id);
        }
        if ($setup->targets === []) {
            $lines[] = new CheckLineData(false, "{$symbol}: no target is set, so only the stop ends it.", $candidate->id);
        }

        return $lines;
    }
}
