<?php

declare(strict_types=1);

namespace Watchpost\Core\Setups\StopMoves;

use Watchpost\Core\Setups\Words;

/** What must have happened for a stop to move. */
interface After
{
    public function hasCome(Progress $progress): bool;

    /** @return array<string, string|int> */
    public function toRules(): array;

    /** "after target 1" */
    public function describe(Words $words): string;
}
