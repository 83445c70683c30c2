<?php

declare(strict_types=1);

namespace App\Actions;

use App\Enums\ReasonJudgement;
use App\Enums\ResultJudgement;
use App\Models\PublishedSetup;
use App\Models\Review;

/** Keeps what the author thinks of a published setup, looking back: its reason and its result apart. */
final class ReviewSetup
{
    public function __invoke(PublishedSetup $published, ?ReasonJudgement $reason, ?ResultJudgement $result, string $note): Review
    {
        return Review::query()->updateOrCreate(['published_setup_id' => $published->id], ['reason' => $reason, 'result' => $result, 'note' => trim($note)]);
    }
}
