<?php

declare(strict_types=1);

namespace App\Data;

use App\Enums\DeliveryChannel;

/** A delivery that did not arrive. */
final readonly class FailedDeliveryData
{
    public function __construct(
        public int $id,
        public string $to,
        public DeliveryChannel $channel,
        public int $attempts,
        public string $error,
    ) {
    }
}
