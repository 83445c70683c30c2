<?php

declare(strict_types=1);

namespace Watchpost\Core\Setups\StopMoves;

use Watchpost\Core\Setups\Words;

/** The close of the n-th session held has come. */
final readonly class AfterSessions implements After
{
    public function __construct(public int $count)
    {
    }

    public function hasCome(Progress $progress): bool
    {
        return $progress->sessionsOver() >= $this->count;
    }

    public function toRules(): array
    {
        return ['kind' => 'sessions', 'value' => $this->count];
    }

    public function describe(Words $words): string
    {
        return "after {$words->sessions($this->count)}";
    }
}
