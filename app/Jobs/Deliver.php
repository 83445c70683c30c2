<?php

declare(strict_types=1);

namespace App\Jobs;

use App\Delivery\Channels\MailChannel;
use App\Delivery\Channels\WebhookChannel;
use App\Delivery\Messages;
use App\Enums\DeliveryChannel;
use App\Enums\DeliveryState;
use App\Models\Delivery;
use App\Subscribers\Tiers;
use Illuminate\Contracts\Queue\ShouldQueue;
use Illuminate\Foundation\Queue\Queueable;
use Illuminate\Support\Facades\DB;

/**
 * Delivers one thing to one reader by one way. Whoever claims it first sends it; a claim that is left behind by a worker that
 * was killed can be taken over, and the receiver knows the delivery by its name.
 */
final class Deliver implements ShouldQueue
{
    use Queueable;

    public const ATTEMPTS = 4;
    /** Seconds after which a claim counts as left behind. */
    public const LEFT_BEHIND = 60;

    public int $tries = 20;
    public int $timeout = 30;

    public function __construct(public readonly int $deliveryId)
    {
    }

    public function handle(Messages $messages, Tiers $tiers, MailChannel $mail, WebhookChannel $webhook): void
    {
        $now = now()->getTimestamp();
        $claimed = Delivery::query()->whereKey($this->deliveryId)
            ->where(static fn ($row) => $row->where('state', DeliveryState::Queued)->orWhere(static fn ($row) => $row->where('state', DeliveryState::Sending)->where('claimed_at', '<', $now - self::LEFT_BEHIND)))
            ->update(['state' => DeliveryState::Sending, 'claimed_at' => $now, 'attempts' => DB::raw('attempts + 1')]);
        $delivery = Delivery::query()->with('user')->find($this->deliveryId);
        if ($claimed === 0 || $delivery === null) {
            return;
        }
        $message = $messages->of($delivery->subject, $delivery->subject_id, $tiers->readerFor($delivery->user));
        if ($message === null) {
            // nothing of it is for this reader
            $delivery->delete();

            return;
        }
        try {
            ($delivery->channel === DeliveryChannel::Mail ? $mail : $webhook)->send($delivery, $message);
        } catch (\Throwable $fault) {
            $isLast = $delivery->attempts >= self::ATTEMPTS;
            $delivery->update(['state' => $isLast ? DeliveryState::Failed : DeliveryState::Queued, 'error' => mb_substr($fault->getMessage(), 0, 250)]);
            if (! $isLast) {
                self::dispatch($this->deliveryId)->delay(self::pause($delivery->attempts));
            }

            return;
        }
        $delivery->update(['state' => DeliveryState::Sent, 'error' => null]);
    }

    /** Seconds before the next attempt: 4, 16, 64. */
    private static function pause(int $attempts): int
    {
        return 4 ** $attempts;
    }
}
