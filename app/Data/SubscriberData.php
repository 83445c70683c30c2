<?php

declare(strict_types=1);

namespace App\Data;

/** A reader on the roster. */
final readonly class SubscriberData
{
    public function __construct(
        public int $id,
        public string $name,
        public string $address,
        public string $tier,
        public string $standing,
        public bool $hasJoined,
        public bool $getsMails,
        public bool $getsWebhook,
    ) {
    }
}
