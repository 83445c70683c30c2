<?php

declare(strict_types=1);

namespace Watchpost\Core\Outcomes;

use Brick\Math\BigDecimal;
use Brick\Math\BigRational;
use Watchpost\Core\Market\Bar;
use Watchpost\Core\Market\Frame;
use Watchpost\Core\Market\FrameBar;
use Watchpost\Core\Market\TimeFrame;
use Watchpost\Core\Setups\Leg;
use Watchpost\Core\Setups\Setup;
use Watchpost\Core\Setups\Target;
use Watchpost\Core\Studies\Study;
use Watchpost\Core\Studies\VolumeProfile;

/**
 * One setup under evaluation: its state, and the few changes that the steps of a bar can make to it. Everything in
 * here is told for a long; `$setup` is the mirrored one for a short, and prices are turned back when an event is
 * written. {@see RunStore} saves the state between two bars.
 */
final class SetupRun
{
    /** The setup as a long. */
    public readonly Setup $setup;
    /** +1 for a long, -1 for a short. */
    public readonly int $sign;
    /** @var list<LegState> */
    public array $legs = [];
    /** @var list<Target> at their present prices */
    public array $targets;
    public Position $position;
    public Excursion $excursion;
    /** @var list<Event> */
    public array $events = [];
    /** The stop in force. */
    public int $stop;
    public bool $stopMoved = false;
    /** @var array<int, true> index of the targets reached */
    public array $reached = [];
    /** @var array<int, true> index of the stop moves whose time has come */
    public array $movesCome = [];
    /** What the last bar, or the last finer bar of a replay, showed of the trade, if it was on; not yet part of the excursion. */
    public ?BarTrace $trace = null;

    /** How many legs wait. */
    private int $waiting;

    public ?int $firstFillAt = null;
    public ?int $closedAt = null;
    public ?string $targetFirst = null;
    public ?MissedBy $missedBy = null;
    /** The status of the leg that ended last. */
    public ?LegStatus $lastEnd = null;
    /** Sessions with bars since that of the first fill, and the date of the latest. */
    public int $sessionsSeen = 0;
    public ?string $lastHeldSession = null;
    /** When the first base bar read began. */
    public ?int $firstBarAt = null;
    /** The last base bar read, acting or not, on the scale of the run. */
    public ?Bar $lastBar = null;
    /** What a unit of the last bar's prices is worth on the scale of the run. */
    public int $factor;

    /** @var list<Frame> the smallest first */
    public array $frames = [];
    /** @var list<string> time frames of which a trail wants the highest close */
    public readonly array $trailed;
    /** @var array<string, Study> by name */
    public array $studies = [];
    public ?VolumeProfile $volume;
    public SessionTrack $track;
    /** The stop, and whether a position was held, at the last base bar's close before that was judged: a late close is judged by them. */
    public int $closeStop;
    public bool $closeHeld = false;
    /** The close of the last finished session. */
    public ?int $sessionClose = null;
    /** Closes beyond the stop and the cancel, in a row. */
    public int $stopStreak = 0;
    public int $cancelStreak = 0;
    /** @var array<string, int> highest close since the first fill, by time frame */
    public array $highestClose = [];
    /** How many updates have acted. */
    public int $updated = 0;

    public function __construct(public readonly Setup $asPublished, public readonly Terms $terms)
    {
        $this->sign = $asPublished->side->sign();
        $this->setup = $asPublished->times($terms->scale->published)->asLong();
        $this->factor = $terms->scale->published;
        foreach ($this->setup->legs as $leg) {
            $this->legs[] = new LegState($leg);
        }
        $this->targets = $this->setup->targets;
        $this->stop = $this->closeStop = $this->setup->stop;
        $this->waiting = count($this->legs);
        $this->position = new Position();
        $this->excursion = new Excursion();
        $this->track = new SessionTrack();
        foreach ($this->setup->timeFrames() as $frame) {
            $this->frames[] = new Frame($frame, $terms->base);
        }
        $this->trailed = $this->setup->trailedTimeFrames();
        foreach ($this->setup->studies() as $study) {
            $this->studies[$study->name()] = clone $study;
        }
        $this->volume = $this->setup->needsVolume() ? new VolumeProfile() : null;
    }

    public function __clone()
    {
        foreach ($this->legs as $i => $leg) {
            $this->legs[$i] = clone $leg;
        }
        $this->position = clone $this->position;
        $this->excursion = clone $this->excursion;
        $this->track = clone $this->track;
        $this->trace = $this->trace === null ? null : clone $this->trace;
        foreach ($this->frames as $i => $frame) {
            $this->frames[$i] = clone $frame;
        }
        foreach ($this->studies as $name => $study) {
            $this->studies[$name] = clone $study;
        }
        $this->volume = $this->volume === null ? null : clone $this->volume;
    }

    /** Nothing waits and nothing is held: later bars change nothing. */
    public function isOver(): bool
    {
        return $this->waiting === 0 && ! $this->position->isOpen();
    }

    public function isWaiting(): bool
    {
        return $this->waiting > 0;
    }

    /** Count the legs that wait, after their states were set from outside. */
    public function countWaiting(): void
    {
        $this->waiting = count(array_filter($this->legs, static fn (LegState $leg): bool => $leg->isWaiting()));
    }

    public function acts(Bar $bar): bool
    {
        return $bar->start >= $this->setup->publishedAt;
    }

    /** A bar of the market on the scale of the run, mirrored for a short. */
    public function bring(Bar $bar): Bar
    {
        if (! $this->terms->scale->isPlain) {
            $bar = $this->terms->scale->bar($bar);
        }

        return $this->sign > 0 ? $bar : $bar->mirrored();
    }

    public function beginBar(Bar $bar, bool $finer): void
    {
        $this->measure();
        $this->trace = $this->position->isOpen() ? new BarTrace($bar) : null;
        if ($this->waiting === 0) {
            return;
        }
        foreach ($this->legs as $leg) {
            $leg->outOfFinerBar = false;
            if (! $finer) {
                $leg->outOfBaseBar = $leg->skipTold = false;
                $leg->active = $leg->leg->needs === null || $this->leg($leg->leg->needs)->status === LegStatus::Filled;
                $leg->armedAtStart = $leg->memory->armed;
            }
        }
    }

    /**
     * Whether a bar goes by without an event at its open or inside it: it meets no stop, target or cancel, and no leg
     * that may fill. Most bars do; the closing step is all they need.
     */
    public function isPassedBy(Bar $bar): bool
    {
        if ($this->position->isOpen() && ! $this->holdsThrough($bar)) {
            return false;
        }
        if ($this->waiting === 0) {
            return true;
        }
        $cancel = $this->setup->cancel;
        if ($cancel !== null && $cancel->closes === null && ($cancel->isMetAt($bar->open) || ($cancel->price >= $bar->low && $cancel->price <= $bar->high))) {
            return false;
        }
        foreach ($this->legs as $state) {
            if ($state->acts() && ! $state->leg->trigger->isPassedBy($bar, $state->memory)) {
                return false;
            }
        }

        return true;
    }

    /** Make what the last bar showed of the trade part of the excursion. */
    public function measure(): void
    {
        $this->trace?->showTo($this->excursion);
        $this->trace = null;
    }

    /** The excursion with what the last bar showed; the run's own stays as it is. */
    public function measured(): Excursion
    {
        $excursion = clone $this->excursion;
        $this->trace?->showTo($excursion);

        return $excursion;
    }

    /** The best price since the first fill, that of the last bar included. */
    public function best(): ?int
    {
        $peak = $this->excursion->peak();
        $now = $this->trace?->seen()[0] ?? null;

        return $peak === null || $now === null ? $peak ?? $now : max($peak, $now);
    }

    public function fill(LegState $state, int $price, Bar $bar, bool $gap = false, bool $assumed = false): void
    {
        if ($this->position->wasFilled()) {
            $this->excursion->settle($this->position->averageFill());
        }
        $state->status = LegStatus::Filled;
        --$this->waiting;
        $state->fillPrice = $price;
        $this->position->fill($state->leg->share, $price, $this->costs($state->leg->trigger->paysSlippage()));
        $this->trace ??= new BarTrace($bar);
        $this->firstFillAt ??= $bar->start;
        $this->events[] = Event::in($bar, EventKind::Fill, [
            'leg' => $state->leg->name,
            'price' => $this->price($price),
            'share' => self::share($state->leg->share),
            'gap' => $gap,
        ], $assumed);
    }

    /** A fill at the close of a bar, of which nothing but that close counts for the leg. */
    public function fillAtClose(LegState $state, Bar $bar): void
    {
        $this->measure();
        $this->trace = new BarTrace($bar);
        $this->trace->closeOnly = true;
        $this->fill($state, $bar->close, $bar);
    }

    public function skip(LegState $state, string $reason, Bar $bar): void
    {
        if (! $state->skipTold) {
            $state->skipTold = true;
            $this->events[] = Event::in($bar, EventKind::Skipped, ['leg' => $state->leg->name, 'reason' => $reason]);
        }
    }

    public function void(LegState $state, string $reason, int $price, Bar $bar): void
    {
        $this->end($state, LegStatus::Void);
        $this->events[] = Event::in($bar, EventKind::Void, ['leg' => $state->leg->name, 'reason' => $reason, 'price' => $this->price($price)]);
    }

    /** The stop takes out everything that is open. */
    public function stopOut(int $price, Bar $bar, bool $gap = false, bool $assumed = false): void
    {
        $share = $this->exit($this->position->open, $price, $bar);
        if ($this->trace !== null) {
            $this->trace->stoppedAt = $price;
        }
        $this->events[] = Event::in($bar, EventKind::Stop, [
            'price' => $this->price($price),
            'share' => $share,
            'gap' => $gap,
            'moved' => $this->stopMoved,
        ], $assumed);
        $this->cancelWaiting('position_closed', $bar, $assumed);
    }

    /** Part or all of the position goes for another reason than stop or target. */
    public function leave(EventKind $kind, BigDecimal $part, int $price, Bar $bar): void
    {
        $share = $this->exit($part, $price, $bar);
        $this->events[] = Event::in($bar, $kind, ['price' => $this->price($price), 'share' => $share]);
        if (! $this->position->isOpen()) {
            $this->cancelWaiting('position_closed', $bar);
        }
    }

    /**
     * A target takes its share of all that was filled so far, not more than is open; the last one takes all that is
     * left when the shares add up to 1.
     */
    public function takeTarget(int $index, int $price, Bar $bar, bool $gap = false, bool $assumed = false): void
    {
        $target = $this->targets[$index];
        $last = $index === count($this->targets) - 1;
        $part = $last && $this->setup->targetsTakeAll()
            ? $this->position->open
            : BigDecimal::min($target->share->multipliedBy($this->position->filled), $this->position->open);
        $this->reached[$index] = true;
        $this->position->exit($part, $price, $this->costs(false));
        $this->closedAt = $bar->start;
        $this->events[] = Event::in($bar, EventKind::Target, [
            'number' => $index + 1,
            'price' => $this->price($price),
            'share' => self::share($part),
            'gap' => $gap,
        ], $assumed);
        if (! $this->position->isOpen()) {
            if ($this->trace !== null) {
                $this->trace->finalTargetAt = $price;
            }
            $this->cancelWaiting('position_closed', $bar, $assumed);
        }
    }

    /** The stop in force becomes another. */
    public function moveStop(int $price, Bar $bar): void
    {
        if ($price !== $this->stop) {
            $this->stop = $price;
            $this->stopMoved = true;
            $this->events[] = Event::in($bar, EventKind::StopMoved, ['price' => $this->price($price)]);
        }
    }

    public function cancelWaiting(string $reason, Bar $bar, bool $assumed = false): void
    {
        if ($this->waiting === 0) {
            return;
        }
        foreach ($this->legs as $state) {
            if ($state->isWaiting()) {
                $this->end($state, LegStatus::Cancelled);
                $this->events[] = Event::in($bar, EventKind::Cancelled, ['leg' => $state->leg->name, 'reason' => $reason], $assumed);
            }
        }
    }

    /** Another setup of the group was filled first: what waits here ends at that moment. */
    public function giveWay(Event $fill, bool $assumed): void
    {
        foreach ($this->legs as $state) {
            if ($state->isWaiting()) {
                $this->end($state, LegStatus::Cancelled);
                $this->events[] = new Event($fill->at, $fill->session, EventKind::Cancelled, ['leg' => $state->leg->name, 'reason' => 'group'], $assumed);
            }
        }
    }

    /** Waiting legs expire, in a bar or, when no bar acts any more, at a moment without one. */
    public function expireWaiting(int $at, ?string $session): void
    {
        if ($this->waiting === 0) {
            return;
        }
        foreach ($this->legs as $state) {
            if ($state->isWaiting()) {
                $this->end($state, LegStatus::Expired);
                $this->events[] = new Event($at, $session, EventKind::Expired, ['leg' => $state->leg->name]);
            }
        }
    }

    /**
     * The targets not reached yet that a price is at or beyond, in order.
     *
     * @return list<int>
     */
    public function targetsAt(int $price): array
    {
        $indexes = [];
        foreach ($this->targets as $i => $target) {
            if (! isset($this->reached[$i]) && $price >= $target->price) {
                $indexes[] = $i;
            }
        }

        return $indexes;
    }

    /** The session of the first fill is 1; 0 before it. */
    public function countSession(Bar $bar): void
    {
        if ($this->position->wasFilled() && $bar->session !== $this->lastHeldSession) {
            ++$this->sessionsSeen;
            $this->lastHeldSession = $bar->session;
        }
    }

    /** Take a bar of a larger time frame in, for all that looks back. */
    public function study(FrameBar $closed, TimeFrame $timeFrame): void
    {
        foreach ($this->studies as $study) {
            if ($study->timeFrame() === $timeFrame) {
                $study->see($closed);
            }
        }
        if ($timeFrame === TimeFrame::Day) {
            $this->sessionClose = $closed->bar->close;
        }
    }

    /** A price of the long as the instrument's own decimal string, on the scale of the last bar. */
    public function price(int $units): string
    {
        return $this->told($this->sign * $units, $this->factor);
    }

    /** Units of the run as a decimal string, on a scale on which one of them is worth so much. */
    public function told(int $units, int $factor): string
    {
        $grid = $this->terms->grid;

        return $factor === 1 ? $grid->format($units) : $grid->formatExact(BigRational::nd($units, $factor));
    }

    public static function share(BigDecimal $share): string
    {
        return (string) $share->stripTrailingZeros();
    }

    private function exit(BigDecimal $part, int $price, Bar $bar): string
    {
        $this->position->exit($part, $price, $this->costs(true));
        $this->closedAt = $bar->start;

        return self::share($part);
    }

    private function holdsThrough(Bar $bar): bool
    {
        if ($this->setup->openExit !== null || ($this->setup->stopCloses === null && $bar->low <= $this->stop)) {
            return false;
        }
        foreach ($this->targets as $i => $target) {
            if ($bar->high >= $target->price && ! isset($this->reached[$i])) {
                return false;
            }
        }

        return true;
    }

    private function leg(string $name): LegState
    {
        foreach ($this->legs as $state) {
            if ($state->leg->name === $name) {
                return $state;
            }
        }
        throw new \LogicException("no leg {$name}");
    }

    private function end(LegState $state, LegStatus $status): void
    {
        $state->status = $status;
        --$this->waiting;
        $this->lastEnd = $status;
    }

    /** Commission and slippage of one unit as published, by the units and ticks of the last bar. */
    private function costs(bool $slips): BigDecimal
    {
        return $this->terms->costs->perUnit($this->terms->grid, $slips)->multipliedBy($this->factor);
    }
}
