<?php

declare(strict_types=1);

namespace App\Policies;

use App\Models\Candidate;
use App\Models\User;

final class CandidatePolicy
{
    public function update(User $user, Candidate $candidate): bool
    {
        return $user->author()?->id === $candidate->plan->author_id;
    }
}
