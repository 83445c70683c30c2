<?php

declare(strict_types=1);

namespace Watchpost\Core\Outcomes;

use Watchpost\Core\Market\Bar;
use Watchpost\Core\Market\Frame;
use Watchpost\Core\Setups\Setup;
use Watchpost\Core\Setups\Target;
use Watchpost\Core\Setups\TriggerMemory;
use Watchpost\Core\Studies\Study;

/**
 * Saves the state of a run between two bars as plain JSON data, and takes it up again. The setup itself is not part
 * of it: it comes from the sealed edition each time.
 *
 * @phpstan-import-type BarState from Bar
 * @phpstan-import-type FrameState from Frame
 * @phpstan-import-type StudyState from Study
 *
 * @phpstan-type MemoryState array{bool, int, int, ?int, bool, bool}
 * @phpstan-type RunState array{
 *     form: int,
 *     legs: list<array{string, MemoryState, ?int, bool, bool}>, targets: list<int>, position: list<string>,
 *     excursion: array{?int, ?int, string, string, ?int},
 *     events: list<array{int, ?string, string, array<string, string|int|bool>, bool}>, stop: int, stop_moved: bool,
 *     reached: list<int>, moves_come: list<int>,
 *     trace: array{BarState, bool, bool, ?int, ?int, ?int}|null,
 *     first_fill_at: ?int, closed_at: ?int, target_first: ?string,
 *     missed_by: array{int, int, string}|null, last_end: ?string, sessions_seen: int, last_held_session: ?string,
 *     first_bar_at: ?int, last_bar: BarState|null, factor: int, scale: int,
 *     frames: list<FrameState>, studies: array<string, StudyState>,
 *     volume: array{list<array{int, list<int>}>, ?string, int, list<int>}|null,
 *     track: array{array{string, int, int}|null, ?int, ?int, ?int, bool},
 *     last_close: array{int, bool}, session_close: ?int, streaks: array{int, int}, highest: array<string, int>, updated: int
 * }
 */
final class RunStore
{
    /** A state of another form cannot be taken up: its bars must be fed again. */
    public const FORM = 3;

    /** @return RunState */
    public static function save(SetupRun $run): array
    {
        return [
            'form' => self::FORM,
            'legs' => array_map(static fn (LegState $leg): array => [$leg->status->value, $leg->memory->toState(), $leg->fillPrice, $leg->active, $leg->armedAtStart], array_values($run->legs)),
            'targets' => array_map(static fn (Target $target): int => $target->price, $run->targets),
            'position' => $run->position->toState(),
            'excursion' => $run->excursion->toState(),
            'events' => array_map(static fn (Event $event): array => $event->toState(), $run->events),
            'stop' => $run->stop,
            'stop_moved' => $run->stopMoved,
            'reached' => array_keys($run->reached),
            'moves_come' => array_keys($run->movesCome),
            'trace' => $run->trace?->toState(),
            'first_fill_at' => $run->firstFillAt,
            'closed_at' => $run->closedAt,
            'target_first' => $run->targetFirst,
            'missed_by' => $run->missedBy === null ? null : [$run->missedBy->leg, $run->missedBy->distance, $run->missedBy->session],
            'last_end' => $run->lastEnd?->value,
            'sessions_seen' => $run->sessionsSeen,
            'last_held_session' => $run->lastHeldSession,
            'first_bar_at' => $run->firstBarAt,
            'last_bar' => $run->lastBar?->toState(),
            'factor' => $run->factor,
            'scale' => $run->terms->scale->published,
            'frames' => array_map(static fn (Frame $frame): array => $frame->toState(), $run->frames),
            'studies' => array_map(static fn (Study $study): array => $study->toState(), $run->studies),
            'volume' => $run->volume?->toState(),
            'track' => $run->track->toState(),
            'last_close' => [$run->closeStop, $run->closeHeld],
            'session_close' => $run->sessionClose,
            'streaks' => [$run->stopStreak, $run->cancelStreak],
            'highest' => $run->highestClose,
            'updated' => $run->updated,
        ];
    }

    /** @param RunState $state */
    public static function load(array $state, Setup $setup, Terms $terms): SetupRun
    {
        $run = new SetupRun($setup, $terms);
        foreach ($state['legs'] as $i => [$status, $memory, $fillPrice, $active, $armed]) {
            $run->legs[$i]->status = LegStatus::from($status);
            $run->legs[$i]->memory = TriggerMemory::fromState($memory);
            $run->legs[$i]->fillPrice = $fillPrice;
            $run->legs[$i]->active = $active;
            $run->legs[$i]->armedAtStart = $armed;
        }
        $run->countWaiting();
        $run->targets = array_map(static fn (Target $target, int $price): Target => new Target($price, $target->share), $run->targets, $state['targets']);
        $run->position = Position::fromState($state['position']);
        $run->excursion = Excursion::fromState($state['excursion']);
        $run->events = array_map(Event::fromState(...), $state['events']);
        $run->stop = $state['stop'];
        $run->stopMoved = $state['stop_moved'];
        $run->reached = array_fill_keys($state['reached'], true);
        $run->movesCome = array_fill_keys($state['moves_come'], true);
        $run->trace = $state['trace'] === null ? null : BarTrace::fromState($state['trace']);
        $run->firstFillAt = $state['first_fill_at'];
        $run->closedAt = $state['closed_at'];
        $run->targetFirst = $state['target_first'];
        $run->missedBy = $state['missed_by'] === null ? null : new MissedBy(...$state['missed_by']);
        $run->lastEnd = $state['last_end'] === null ? null : LegStatus::from($state['last_end']);
        $run->sessionsSeen = $state['sessions_seen'];
        $run->lastHeldSession = $state['last_held_session'];
        $run->firstBarAt = $state['first_bar_at'];
        $run->lastBar = $state['last_bar'] === null ? null : Bar::fromState($state['last_bar']);
        $run->factor = $state['factor'];
        foreach ($state['frames'] as $i => $frame) {
            $run->frames[$i]->restore($frame);
        }
        foreach ($state['studies'] as $name => $study) {
            $run->studies[$name]->restore($study);
        }
        if ($state['volume'] !== null) {
            $run->volume?->restore($state['volume']);
        }
        $run->track = SessionTrack::fromState($state['track'], $run->sign);
        [$run->closeStop, $run->closeHeld] = $state['last_close'];
        $run->sessionClose = $state['session_close'];
        [$run->stopStreak, $run->cancelStreak] = $state['streaks'];
        $run->highestClose = $state['highest'];
        $run->updated = $state['updated'];

        return $run;
    }
}
