<?php

declare(strict_types=1);

namespace App\Actions;

use App\Models\Candidate;
use App\Models\PublishedSetup;
use App\Models\Tier;
use App\Models\User;
use App\Subscribers\Tiers;
use Illuminate\Validation\ValidationException;

/** Takes a tier away that nobody has and nothing is meant for. */
final readonly class RemoveTier
{
    public function __construct(private Tiers $tiers)
    {
    }

    public function __invoke(Tier $tier): void
    {
        $why = match (true) {
            $tier->isVisitors() => 'Visitors are always there: say that they see nothing.',
            User::query()->where('tier', $tier->key)->exists() => "{$tier->name} has subscribers: give them another tier first.",
            Candidate::query()->where('readers', $tier->key)->exists(), PublishedSetup::query()->where('readers', $tier->key)->exists() => "Candidates are meant for {$tier->name}, and what is published stays as it is.",
            default => null,
        };
        if ($why !== null) {
            throw ValidationException::withMessages(['tier' => $why]);
        }
        $tier->delete();
        $this->tiers->forget();
    }
}
