<?php

declare(strict_types=1);

namespace App\Delivery;

use Illuminate\Http\Client\ConnectionException;
use Illuminate\Http\Client\Factory;

/** Posts over HTTP. */
final readonly class HttpWebhooks implements Webhooks
{
    private const SECONDS = 10;

    public function __construct(private Factory $http)
    {
    }

    public function post(string $url, string $body, array $headers): void
    {
        try {
            $response = $this->http->timeout(self::SECONDS)->withoutRedirecting()->withHeaders($headers)->withBody($body, $headers['Content-Type'] ?? 'application/json')->post($url);
        } catch (ConnectionException $e) {
            throw new \RuntimeException("The address cannot be reached: {$e->getMessage()}", previous: $e);
        }
        if (! $response->successful()) {
            throw new \RuntimeException("The address answered {$response->status()}.");
        }
    }
}
