<?php

declare(strict_types=1);

namespace App\Delivery;

/** The network outside, as far as webhooks need it. */
interface Webhooks
{
    /**
     * @param array<string, string> $headers
     *
     * @throws \RuntimeException when the address does not take it
     */
    public function post(string $url, string $body, array $headers): void;
}
