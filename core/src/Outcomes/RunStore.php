<?php

declare(strict_types=1);

namespace Watchpost\Core\Outcomes;

use Watchpost\Core\Market\PriceGrid;
use Watchpost\Core\Setups\Setup;

/**
 * Saves the state of a run between two bars as plain JSON data, and takes it up again. The setup itself is not part
 * of it: it comes from the sealed edition each time.
 *
 * @phpstan-type RunState array{
 *     legs: list<string>, position: list<string>, excursion: array{?int, ?int, string, string},
 *     events: list<array{int, ?string, string, array<string, string|int|bool>, bool}>, stop: int, stop_moved: bool,
 *     reached: list<int>, first_fill_at: ?int, closed_at: ?int, target_first: ?string,
 *     missed_by: array{int, int, string}|null, last_end: ?string, sessions_seen: int, last_held_session: ?string,
 *     last_bar_start: ?int, last_close: ?int, factor?: int, scale?: int
 * }
 */
final class RunStore
{
    /** @return RunState */
    public static function save(SetupRun $run): array
    {
        return [
            'legs' => array_map(static fn (LegState $leg): string => $leg->status->value, array_values($run->legs)),
            'position' => $run->position->toState(),
            'excursion' => $run->excursion->toState(),
            'events' => array_map(static fn (Event $event): array => $event->toState(), $run->events),
            'stop' => $run->stop,
            'stop_moved' => $run->stopMoved,
            'reached' => array_keys($run->reached),
            'first_fill_at' => $run->firstFillAt,
            'closed_at' => $run->closedAt,
            'target_first' => $run->targetFirst,
            'missed_by' => $run->missedBy === null ? null : [$run->missedBy->leg, $run->missedBy->distance, $run->missedBy->session],
            'last_end' => $run->lastEnd?->value,
            'sessions_seen' => $run->sessionsSeen,
            'last_held_session' => $run->lastHeldSession,
            'last_bar_start' => $run->lastBarStart,
            'last_close' => $run->lastClose,
            'factor' => $run->factor,
            'scale' => $run->scale->published,
        ];
    }

    /** @param RunState $state */
    public static function load(array $state, Setup $setup, PriceGrid $grid, Costs $costs, SplitScale $scale = new SplitScale()): SetupRun
    {
        $run = new SetupRun($setup, $grid, $costs, $scale);
        foreach ($state['legs'] as $i => $status) {
            $run->legs[$i]->status = LegStatus::from($status);
        }
        $run->position = Position::fromState($state['position']);
        $run->excursion = Excursion::fromState($state['excursion']);
        $run->events = array_map(Event::fromState(...), $state['events']);
        $run->stop = $state['stop'];
        $run->stopMoved = $state['stop_moved'];
        $run->reached = array_fill_keys($state['reached'], true);
        $run->firstFillAt = $state['first_fill_at'];
        $run->closedAt = $state['closed_at'];
        $run->targetFirst = $state['target_first'];
        $run->missedBy = $state['missed_by'] === null ? null : new MissedBy(...$state['missed_by']);
        $run->lastEnd = $state['last_end'] === null ? null : LegStatus::from($state['last_end']);
        $run->sessionsSeen = $state['sessions_seen'];
        $run->lastHeldSession = $state['last_held_session'];
        $run->lastBarStart = $state['last_bar_start'];
        $run->lastClose = $state['last_close'];
        $run->factor = $state['factor'] ?? $scale->published;

        return $run;
    }
}
