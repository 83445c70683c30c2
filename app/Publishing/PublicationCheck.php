<?php

declare(strict_types=1);

namespace App\Publishing;

use App\Clock\MarketClock;
use App\Data\CheckLineData;
use App\Enums\CandidateState;
use App\Market\ChartBuilder;
use App\Models\Candidate;
use App\Models\Instrument;
use App\Models\Plan;
use App\Models\PublishedSetup;
use App\Models\Setup;
use App\Planning\Exposure;
use App\Planning\GoodUntil;
use App\Planning\SetupReading;
use App\Reading\Limits;
use Watchpost\Core\InvalidInput;
use Watchpost\Core\Market\ExchangeCalendar;
use Watchpost\Core\Setups\Conditions\IndexSide;

/** What stops a plan from being published, and what its author should look at before. */
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
    ) {
    }

    /** @return list<CheckLineData> */
    public function lines(Plan $plan): array
    {
        $lines = [];
        $candidates = $plan->candidates()->with(['instrument', 'setups', 'carried.edition'])->get();
        $session = $this->calendar->session($plan->session_date);
        if ($session === null || $session->open <= $this->clock->moment()) {
            $lines[] = new CheckLineData(true, 'The session of this plan has opened already: a plan comes before its session.', null);
        }
        if ($candidates->where('state', CandidateState::Kept)->isEmpty()) {
            $lines[] = new CheckLineData(true, 'No candidate is kept yet.', null);
        }
        foreach ($candidates as $candidate) {
            array_push($lines, ...$this->candidate($candidate, $plan));
        }
        foreach ($this->exposure->warnings($plan, Limits::of($plan->author)) as $warning) {
            $lines[] = new CheckLineData(false, $warning, null);
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

        return array_merge(...$candidate->setups->map(fn (Setup $setup): array => $this->setup($candidate, $plan, $setup))->values()->all());
    }

    /** @return list<CheckLineData> */
    private function setup(Candidate $candidate, Plan $plan, Setup $row): array
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
        $series = $this->charts->series($candidate->instrument, self::SERIES);
        foreach ($this->reading->warnings($candidate, $setup, $draft->goodFor, $series, $this->charts->atr($series), Limits::of($plan->author)) as $warning) {
            $lines[] = new CheckLineData(false, "{$symbol}: ".lcfirst($warning), $candidate->id);
        }
        if ($setup->targets === []) {
            $lines[] = new CheckLineData(false, "{$symbol}: no target is set, so only the stop ends it.", $candidate->id);
        }

        return $lines;
    }
}
