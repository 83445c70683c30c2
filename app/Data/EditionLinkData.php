<?php

declare(strict_types=1);

namespace App\Data;

/** An edition in the list of editions. */
final readonly class EditionLinkData
{
    /** @param list<string> $symbols */
    public function __construct(
        public int $number,
        public string $kind,
        public string $session,
        public string $publishedAt,
        public array $symbols,
        public int $setups,
        public string $standing,
    ) {
    }
}
