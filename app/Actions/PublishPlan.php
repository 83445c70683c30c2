<?php

declare(strict_types=1);

namespace App\Actions;

use App\Clock\MarketClock;
use App\Enums\CandidateState;
use App\Enums\DeliverySubject;
use App\Enums\Relation;
use App\Jobs\DispatchDeliveries;
use App\Models\Edition;
use App\Models\Instrument;
use App\Models\Plan;
use App\Publishing\EditionComposer;
use App\Publishing\PublicationCheck;
use App\Publishing\Seal;
use App\Record\SetupEvaluator;
use Illuminate\Support\Facades\DB;
use Illuminate\Validation\ValidationException;
use Watchpost\Core\Json\CanonicalJson;
use Watchpost\Core\Outcomes\OutcomeStatus;
use Watchpost\Core\Setups\UpdateKind;

/**
 * Publishes a plan: the document is composed, numbered, chained to the edition before and sealed, and every setup in
 * it is handed to the record, with its alerts armed. Publishing the same plan again gives the edition it became.
 */
final readonly class PublishPlan
{
    public function __construct(
        private MarketClock $clock,
        private EditionComposer $composer,
        private PublicationCheck $check,
        private SetupEvaluator $evaluator,
        private PostUpdate $update,
        private AnswerRequest $answer,
    ) {
    }

    public function __invoke(Plan $plan): Edition
    {
        return DB::transaction(function () use ($plan): Edition {
            Plan::query()->lockForUpdate()->findOrFail($plan->id);
            $published = Edition::query()->where('plan_id', $plan->id)->first();
            if ($published !== null) {
                return $published;
            }
            foreach ($this->check->lines($plan) as $line) {
                if ($line->stops) {
                    throw ValidationException::withMessages(['plan' => $line->message]);
                }
            }

            return $this->seal($plan);
        });
    }

    private function seal(Plan $plan): Edition
    {
        $now = $this->clock->moment();
        $previous = Edition::query()->lockForUpdate()->orderByDesc('number')->first();
        $document = $this->composer->compose($plan, $previous, $now);
        $text = CanonicalJson::encode($document);
        $edition = Edition::query()->create([
            'number' => $document['number'],
            'plan_id' => $plan->id,
            'author_id' => $plan->author_id,
            'session_date' => $plan->session_date,
            'kind' => $plan->kind,
            'published_at' => $now,
            'previous_seal' => $previous?->seal,
            'seal' => Seal::of($text),
            'document' => $text,
        ]);
        $plan->update(['published_at' => $now]);
        foreach ($document['candidates'] as $candidate) {
            foreach ($candidate['setups'] ?? [] as $setup) {
                $edition->publishedSetups()->create([
                    'instrument_id' => Instrument::query()->where('symbol', $candidate['instrument']['symbol'])->firstOrFail()->id,
                    'key' => $setup['key'],
                    'kind' => $setup['kind'] ?? '',
                    'group' => $setup['rules']['group'] ?? null,
                    'readers' => $candidate['readers'],
                    'armed_at' => $now,
                ]);
            }
        }
        foreach ($edition->publishedSetups()->with(['edition', 'instrument'])->get() as $published) {
            $this->evaluator->evaluate($published);
        }
        $this->replace($plan, $edition);
        $this->answer->answer($edition, $plan);
        DispatchDeliveries::dispatch(DeliverySubject::Edition, $edition->id);

        return $edition;
    }

    /** What a new setup replaces waits no longer. */
    private function replace(Plan $plan, Edition $edition): void
    {
        foreach ($plan->candidates()->with(['carried.edition', 'carried.instrument'])->where('relation', Relation::Replaces)->where('state', CandidateState::Kept)->get() as $candidate) {
            foreach ($candidate->carried?->ofSameIdea() ?? [] as $old) {
                if (($old->managed ?? $old->outcome)?->status === OutcomeStatus::Waiting) {
                    ($this->update)($old, $plan->author, UpdateKind::CancelWaiting, text: "Replaced in edition {$edition->number}.");
                }
            }
        }
    }
}
