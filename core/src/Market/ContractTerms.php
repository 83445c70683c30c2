<?php

declare(strict_types=1);

namespace Watchpost\Core\Market;

/** A futures contract: the series it belongs to and the last session in which it trades. */
final readonly class ContractTerms
{
    /** @param string $series symbol of the continuous series */
    public function __construct(public string $series, public string $lastSession)
    {
    }
}
