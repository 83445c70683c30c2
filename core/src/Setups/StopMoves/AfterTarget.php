<?php

declare(strict_types=1);

namespace Watchpost\Core\Setups\StopMoves;

use Watchpost\Core\Setups\Words;

/** A target has been reached. */
final readonly class AfterTarget implements After
{
    public function __construct(public int $number)
    {
    }

    public function hasCome(Progress $progress): bool
    {
        return $progress->reached($this->number);
    }

    public function toRules(): array
    {
        return ['kind' => 'target', 'number' => $this->number];
    }

    public function describe(Words $words): string
    {
        return "after target {$this->number}";
    }
}
