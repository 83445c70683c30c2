<?php

declare(strict_types=1);

namespace App\Data;

use App\Enums\RequestState;

/** A symbol that was asked for. */
final readonly class RequestData
{
    /**
     * @param list<AskedData> $askers  the first first; empty where a reader looks at their own
     * @param string          $reason  why it was declined
     * @param int|null        $edition that answered it
     */
    public function __construct(
        public int $id,
        public string $symbol,
        public string $name,
        public RequestState $state,
        public array $askers,
        public string $reason,
        public ?int $edition,
        public string $since,
    ) {
    }
}
