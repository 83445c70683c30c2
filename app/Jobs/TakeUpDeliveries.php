<?php

declare(strict_types=1);

namespace App\Jobs;

use App\Enums\DeliveryState;
use App\Models\Delivery;
use Illuminate\Contracts\Queue\ShouldQueue;
use Illuminate\Foundation\Queue\Queueable;

/** Takes up deliveries that a worker left behind when it was killed. */
final class TakeUpDeliveries implements ShouldQueue
{
    use Queueable;

    public function handle(): void
    {
        Delivery::query()->where('state', DeliveryState::Sending)->where('claimed_at', '<', now()->getTimestamp() - Deliver::LEFT_BEHIND)->select('id')->chunkById(500, static function ($rows): void {
            foreach ($rows as $row) {
                Deliver::dispatch($row->id);
            }
        });
    }
}
