<?php

declare(strict_types=1);

namespace App\Delivery\Channels;

use App\Delivery\Channel;
use App\Delivery\Message;
use App\Delivery\Webhooks;
use App\Models\Delivery;

/** To an address of the reader's own, signed so that they can tell it is ours. */
final readonly class WebhookChannel implements Channel
{
    public function __construct(private Webhooks $webhooks)
    {
    }

    public function send(Delivery $delivery, Message $message): void
    {
        $user = $delivery->user;
        if ($user->webhook_url === null) {
            throw new \RuntimeException('There is no address any more.');
        }
        $body = json_encode(['id' => $delivery->name(), 'title' => $message->title, 'url' => url($message->path)] + $message->facts, JSON_THROW_ON_ERROR | JSON_UNESCAPED_SLASHES | JSON_UNESCAPED_UNICODE);
        $this->webhooks->post($user->webhook_url, $body, [
            'Content-Type' => 'application/json',
            'X-Watchpost-Delivery' => $delivery->name(),
            'X-Watchpost-Signature' => 'sha256='.hash_hmac('sha256', $body, (string) $user->webhook_secret),
        ]);
    }
}
