<?php

declare(strict_types=1);

namespace App\Actions;

use App\Delivery\RequestAnswered;
use App\Enums\CandidateSource;
use App\Enums\RequestState;
use App\Models\Candidate;
use App\Models\Edition;
use App\Models\Plan;
use App\Models\SymbolRequest;
use Illuminate\Support\Facades\DB;
use Illuminate\Validation\ValidationException;

/** Takes what is asked for onto a plan's list, declines it with a reason, or tells those who asked that an edition answers it. */
final readonly class AnswerRequest
{
    public function __construct(private AddCandidate $add)
    {
    }

    public function take(Plan $plan, SymbolRequest $request): Candidate
    {
        return DB::transaction(function () use ($plan, $request): Candidate {
            $candidate = $plan->candidates()->where('instrument_id', $request->instrument_id)->first()
                ?? ($this->add)($plan, $request->instrument, CandidateSource::Asked, self::askedBy($request));
            $request->update(['state' => RequestState::Taken]);

            return $candidate;
        });
    }

    public function decline(SymbolRequest $request, string $reason): void
    {
        if (trim($reason) === '') {
            throw ValidationException::withMessages(['reason' => "Say why {$request->instrument->symbol} is declined: those who asked are told."]);
        }
        if (! $request->state->isWaiting()) {
            throw ValidationException::withMessages(['reason' => 'This request is answered already.']);
        }
        $request->update(['state' => RequestState::Declined, 'reason' => trim($reason)]);
        $this->tell($request);
    }

    /** What an edition covers is answered: planned, told again, or passed with a reason. */
    public function answer(Edition $edition, Plan $plan): void
    {
        $covered = $plan->candidates()->pluck('instrument_id');
        foreach (SymbolRequest::waiting()->with(['askers.user', 'instrument'])->whereIn('instrument_id', $covered)->get() as $request) {
            $request->update(['state' => RequestState::Answered, 'edition_id' => $edition->id]);
            $this->tell($request->load('edition'));
        }
    }

    private function tell(SymbolRequest $request): void
    {
        foreach ($request->askers as $asker) {
            $asker->user->notify(new RequestAnswered($request));
        }
    }

    private static function askedBy(SymbolRequest $request): string
    {
        $count = $request->askers()->count();

        return $count === 1 ? 'one reader' : "{$count} readers";
    }
}
