<?php

declare(strict_types=1);

namespace App\Record;

use App\Enums\DeliverySubject;
use App\Jobs\DispatchDeliveries;
use App\Models\Alert;
use App\Models\PublishedSetup;
use Illuminate\Support\Facades\DB;
use Watchpost\Core\Outcomes\Event;

/**
 * Tells what happened to setups whose alerts are armed. The events are those of the engine, as published; an event that
 * was told is kept, so that evaluating again, or by two workers, tells it once.
 */
final readonly class Alarms
{
    public function __construct(private EventWords $words)
    {
    }

    /** @return int how many are new */
    public function ring(PublishedSetup $published): int
    {
        if ($published->armed_at === null) {
            return 0;
        }
        $told = Alert::query()->where('published_setup_id', $published->id)->pluck('id', 'number');
        $new = 0;
        foreach ($published->outcome()->first()->run['events'] ?? [] as $number => $state) {
            $event = Event::fromState($state);
            if ($told->has($number) || ! $event->kind->isTold() || $event->at < $published->armed_at) {
                continue;
            }
            $new += $this->tell($published, $number, $event) ? 1 : 0;
        }

        return $new;
    }

    /** The alert and the job that hands it out are written together: killed in between, there is neither, and it is told again. */
    private function tell(PublishedSetup $published, int $number, Event $event): bool
    {
        return DB::transaction(function () use ($published, $number, $event): bool {
            $alert = Alert::query()->firstOrCreate(['published_setup_id' => $published->id, 'number' => $number], [
                'at' => $event->at,
                'kind' => $event->kind,
                'what' => $this->words->withPrice($event),
            ]);
            if ($alert->wasRecentlyCreated) {
                DispatchDeliveries::dispatch(DeliverySubject::Alert, $alert->id)->beforeCommit();
            }

            return $alert->wasRecentlyCreated;
        });
    }
}
