<?php

declare(strict_types=1);

namespace App\Actions;

use App\Models\EventWeight;
use App\Models\MarketEvent;
use App\Models\User;

/** Says how much an event matters to an author, and why. */
final class WeighEvent
{
    public const MOST = 3;

    public function __invoke(User $author, MarketEvent $event, int $weight, string $note): void
    {
        EventWeight::query()->updateOrCreate(['author_id' => $author->id, 'market_event_id' => $event->id], ['weight' => $weight, 'note' => trim($note)]);
    }
}
