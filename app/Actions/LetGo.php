<?php

declare(strict_types=1);

namespace App\Actions;

use App\Models\PublishedSetup;
use App\Models\Review;

/** Says that a published idea is not to be taken up again, or takes that back. The record follows it to its end all the same. */
final class LetGo
{
    public function __invoke(PublishedSetup $published, bool $isLetGo): void
    {
        foreach ($published->ofSameIdea() as $one) {
            Review::query()->updateOrCreate(['published_setup_id' => $one->id], ['is_let_go' => $isLetGo]);
        }
    }
}
