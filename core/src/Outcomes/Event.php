<?php

declare(strict_types=1);

namespace Watchpost\Core\Outcomes;

use Watchpost\Core\Market\Bar;
use Watchpost\Core\Market\Instant;

/**
 * Something that happened to a setup: when, in which session, and what it carries (rules.md, Output). Times in Unix
 * seconds; prices are in the decimal form of the result already.
 */
final readonly class Event
{
    /** @param array<string, string|int|bool> $details in the order of the output */
    public function __construct(
        public int $at,
        public ?string $session,
        public EventKind $kind,
        public array $details,
        public bool $assumed = false,
    ) {
    }

    /** @param array<string, string|int|bool> $details */
    public static function in(Bar $bar, EventKind $kind, array $details, bool $assumed = false): self
    {
        return new self($bar->start, $bar->session, $kind, $details, $assumed);
    }

    public function asAssumed(): self
    {
        return new self($this->at, $this->session, $this->kind, $this->details, true);
    }

    /** @return array<string, string|int|bool|null> */
    public function toArray(): array
    {
        return ['at' => Instant::format($this->at), 'session' => $this->session, 'kind' => $this->kind->value]
            + $this->details
            + ['assumed' => $this->assumed];
    }

    /** @return array{int, ?string, string, array<string, string|int|bool>, bool} */
    public function toState(): array
    {
        return [$this->at, $this->session, $this->kind->value, $this->details, $this->assumed];
    }

    /** @param array{int, ?string, string, array<string, string|int|bool>, bool} $state */
    public static function fromState(array $state): self
    {
        return new self($state[0], $state[1], EventKind::from($state[2]), $state[3], $state[4]);
    }
}
