<?php

declare(strict_types=1);

namespace Watchpost\Simulator;

/** What moves a listing in one session: log returns. */
final readonly class Drive
{
    /**
     * @param float       $gap    over night
     * @param float       $drift  of its own, from open to close
     * @param float       $noise  size of its own move from open to close
     * @param list<float> $common what it shares with others, step by step
     * @param bool        $turns  whether it turns at its barriers
     */
    public function __construct(public float $gap, public float $drift, public float $noise, public array $common, public bool $turns)
    {
    }
}
