<?php

declare(strict_types=1);

namespace App\Delivery;

use App\Models\SinkMessage;

/**
 * Stands in for the addresses of webhooks: keeps what is posted on this machine, where it can be read at /sink. An address
 * whose name begins with "down." takes nothing, as one that is out of order would. What it has, it takes once.
 */
final class SinkWebhooks implements Webhooks
{
    public function post(string $url, string $body, array $headers): void
    {
        if (str_starts_with((string) parse_url($url, PHP_URL_HOST), 'down.')) {
            throw new \RuntimeException('The address answered 503.');
        }
        SinkMessage::query()->insertOrIgnore([
            'url' => $url,
            'headers' => json_encode($headers, JSON_THROW_ON_ERROR),
            'body' => $body,
            'delivery' => $headers['X-Watchpost-Delivery'] ?? null,
            'created_at' => now(),
            'updated_at' => now(),
        ]);
    }
}
