<?php

declare(strict_types=1);

namespace App\Planning;

use App\Enums\CandidateState;
use App\Enums\Relation;
use App\Models\Candidate;
use App\Models\Setup;
use Illuminate\Validation\ValidationException;
use Watchpost\Core\Setups\Draft;

/** One of the ways in which a candidate is planned, by its number from 1: its setup as it stands, and how a change of it is kept. */
final readonly class Variant
{
    public const MOST = 4;
    public const USUAL_GOOD_FOR = 5;

    public function __construct(public Candidate $candidate, public int $number = 1)
    {
    }

    public function setup(): ?Setup
    {
        return $this->candidate->setups->firstWhere('position', $this->number);
    }

    public function draft(): Draft
    {
        $blank = Draft::blank(self::USUAL_GOOD_FOR);

        return $this->setup()?->draft() ?? $blank->turned($this->candidate->side ?? $blank->side);
    }

    /**
     * @param string|null         $field where a refusal is told, when the rule that is broken speaks of another field
     * @param array<string, mixed> $more  what else is kept of the setup
     *
     * @throws ValidationException
     */
    public function keep(Draft $draft, string $label, ?string $field = null, array $more = []): void
    {
        $this->check($draft, $field);
        $this->change("{$label} of {$this->candidate->instrument->symbol}", function () use ($draft, $more): void {
            Setup::query()->updateOrCreate(['candidate_id' => $this->candidate->id, 'position' => $this->number], $draft->toState() + $more);
            // who plans a candidate keeps it, also one that was passed before
            if ($this->candidate->state !== CandidateState::Kept) {
                $this->candidate->update(['state' => CandidateState::Kept, 'reason' => '']);
            }
            // with a setup of its own it is no longer told by reference alone
            if ($this->candidate->stillStands()) {
                $this->candidate->update(['relation' => Relation::Continues]);
            }
        });
    }

    /** A change of the setups of the candidate that can be undone. */
    public function change(string $label, callable $change): void
    {
        PlanHistory::change($this->candidate->plan, $label, $this->candidate->instrument_id, $change);
        $this->candidate->unsetRelation('setups');
    }

    /** @throws ValidationException */
    private function check(Draft $draft, ?string $field): void
    {
        if (! $this->candidate->instrument->isTraded()) {
            throw ValidationException::withMessages([$field ?? 'setup' => "{$this->candidate->instrument->symbol} is watched, not traded: it takes levels, but no setup."]);
        }
        $problems = $draft->problems($this->candidate->instrument->grid());
        if ($problems !== []) {
            throw ValidationException::withMessages([$field ?? $problems[0]->path => $problems[0]->message]);
        }
    }
}
