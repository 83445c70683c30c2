<?php

declare(strict_types=1);

namespace App\Data;

use Watchpost\Core\Levels\TouchKind;

/** What price made of a level of the author since the last edition. */
final readonly class ReviewLevelData
{
    public function __construct(
        public string $symbol,
        public string $price,
        public string $origin,
        public TouchKind $kind,
        public string $session,
    ) {
    }
}
