<?php

declare(strict_types=1);

namespace Watchpost\Core\Setups;

/** The open of a bar, as a waiting trigger sees it. */
final readonly class BarOpen
{
    /**
     * @param SessionStart|null $session when the bar is the first of a session
     * @param bool              $finer   whether it is a finer bar inside a replayed one
     */
    public function __construct(public int $price, public ?SessionStart $session, public bool $finer)
    {
    }
}
