<?php

declare(strict_types=1);

namespace App\Data;

/** A setup of an earlier edition, told again by reference. */
final readonly class CarriedSetupData
{
    public function __construct(
        public string $key,
        public string $name,
        public string $sentence,
        public ?FollowedData $followed,
    ) {
    }
}
