<?php

declare(strict_types=1);

namespace App\Data;

/** How far something that was published has reached its readers. */
final readonly class DeliveriesData
{
    /** @param list<FailedDeliveryData> $failed */
    public function __construct(
        public string $title,
        public string $path,
        public int $total,
        public int $sent,
        public int $waiting,
        public array $failed,
    ) {
    }
}
