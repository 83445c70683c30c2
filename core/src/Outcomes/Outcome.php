<?php

declare(strict_types=1);

namespace Watchpost\Core\Outcomes;

/**
 * What happened to a setup as of a moment, in the form of rules.md, Output: decimals as strings, rounded half away
 * from zero, null where there is nothing to tell.
 */
final readonly class Outcome
{
    /**
     * @param array{leg: string, price: string, percent: string, session: string}|null $missedBy
     * @param list<Event>                                                               $events
     */
    public function __construct(
        public OutcomeStatus $status,
        public ?string $r,
        public ?string $rRealised,
        public ?string $rOpen,
        public ?string $percent,
        public ?string $perUnit,
        public ?string $averageFill,
        public string $filledShare,
        public ?string $mfeR,
        public ?string $maeR,
        public ?int $sessionsHeld,
        public ?string $firstFillAt,
        public ?string $closedAt,
        public bool $ambiguous,
        public ?array $missedBy,
        public ?string $targetFirst,
        public string $stop,
        public array $events,
    ) {
    }

    /** @return array<string, mixed> */
    public function toArray(): array
    {
        return [
            'status' => $this->status->value,
            'r' => $this->r,
            'r_realised' => $this->rRealised,
            'r_open' => $this->rOpen,
            'percent' => $this->percent,
            'per_unit' => $this->perUnit,
            'average_fill' => $this->averageFill,
            'filled_share' => $this->filledShare,
            'mfe_r' => $this->mfeR,
            'mae_r' => $this->maeR,
            'sessions_held' => $this->sessionsHeld,
            'first_fill_at' => $this->firstFillAt,
            'closed_at' => $this->closedAt,
            'ambiguous' => $this->ambiguous,
            'missed_by' => $this->missedBy,
            'target_first' => $this->targetFirst,
            'stop' => $this->stop,
            'events' => array_map(static fn (Event $event): array => $event->toArray(), $this->events),
        ];
    }
}
