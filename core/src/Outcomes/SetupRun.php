<?php

declare(strict_types=1);

namespace Watchpost\Core\Outcomes;

use Brick\Math\BigDecimal;
use Brick\Math\BigRational;
use Watchpost\Core\Market\Bar;
use Watchpost\Core\Market\PriceGrid;
use Watchpost\Core\Setups\Leg;
use Watchpost\Core\Setups\Setup;

/**
 * One setup under evaluation: its state, and the few changes that the steps of a bar can make to it. Everything in
 * here is told for a long; `$setup` is the mirrored one for a short, and prices are turned back when an event is
 * written. {@see RunStore} saves the state between two bars.
 */
final class SetupRun
{
    /** The setup as a long. */
    public readonly Setup $setup;
    /** @var list<LegState> */
    public array $legs;
    public Position $position;
    public Excursion $excursion;
    /** @var list<Event> */
    public array $events = [];
    /** The stop in force. */
    public int $stop;
    public bool $stopMoved = false;
    /** @var array<int, true> index of the targets reached */
    public array $reached = [];
    public BarTrace $trace;

    public ?int $firstFillAt = null;
    public ?int $closedAt = null;
    public ?string $targetFirst = null;
    public ?MissedBy $missedBy = null;
    /** The status of the leg that ended last. */
    public ?LegStatus $lastEnd = null;
    /** Sessions with bars since that of the first fill, and the date of the latest. */
    public int $sessionsSeen = 0;
    public ?string $lastHeldSession = null;
    /** Of the last bar read, acting or not. */
    public ?int $lastBarStart = null;
    public ?int $lastClose = null;

    /** What a unit of the last bar's prices is worth on the scale of the run. */
    public int $factor;

    /**
     * @param SplitScale $scale on which the run is judged; prices are turned back when they are told
     */
    public function __construct(
        public readonly Setup $asPublished,
        public readonly PriceGrid $grid,
        public readonly Costs $costs,
        public readonly SplitScale $scale = new SplitScale(),
    ) {
        $this->setup = $asPublished->times($scale->published)->asLong();
        $this->factor = $scale->published;
        $this->legs = array_map(static fn (Leg $leg): LegState => new LegState($leg), $this->setup->legs);
        $this->stop = $this->setup->stop;
        $this->position = new Position();
        $this->excursion = new Excursion();
        $this->trace = new BarTrace();
    }

    public function __clone()
    {
        $this->legs = array_map(static fn (LegState $leg): LegState => clone $leg, $this->legs);
        $this->position = clone $this->position;
        $this->excursion = clone $this->excursion;
        $this->trace = clone $this->trace;
    }

    /** Nothing waits and nothing is held: later bars change nothing. */
    public function isOver(): bool
    {
        return ! $this->isWaiting() && ! $this->position->isOpen();
    }

    public function isWaiting(): bool
    {
        foreach ($this->legs as $leg) {
            if ($leg->isWaiting()) {
                return true;
            }
        }

        return false;
    }

    public function beginBar(bool $finer): void
    {
        $this->trace = new BarTrace();
        $this->trace->held = $this->position->isOpen();
        foreach ($this->legs as $leg) {
            $leg->outOfFinerBar = false;
            if (! $finer) {
                $leg->outOfBaseBar = false;
            }
        }
    }

    public function fill(LegState $state, int $price, Bar $bar, bool $gap = false, bool $assumed = false): void
    {
        if ($this->position->wasFilled()) {
            $this->excursion->settle($this->position->averageFill());
        }
        $state->status = LegStatus::Filled;
        $this->position->fill($state->leg->share, $price, $this->costs($state->leg->trigger->paysSlippage()));
        $this->trace->held = true;
        $this->firstFillAt ??= $bar->start;
        $this->events[] = Event::in($bar, EventKind::Fill, [
            'leg' => $state->leg->name,
            'price' => $this->price($price),
            'share' => self::share($state->leg->share),
            'gap' => $gap,
        ], $assumed);
    }

    public function void(LegState $state, string $reason, int $price, Bar $bar): void
    {
        $this->end($state, LegStatus::Void);
        $this->events[] = Event::in($bar, EventKind::Void, ['leg' => $state->leg->name, 'reason' => $reason, 'price' => $this->price($price)]);
    }

    /** The stop takes out everything that is open. */
    public function stopOut(int $price, Bar $bar, bool $gap = false, bool $assumed = false): void
    {
        $share = $this->position->open;
        $this->position->exit($share, $price, $this->costs(true));
        $this->trace->stoppedAt = $price;
        $this->closedAt = $bar->start;
        $this->events[] = Event::in($bar, EventKind::Stop, [
            'price' => $this->price($price),
            'share' => self::share($share),
            'gap' => $gap,
            'moved' => $this->stopMoved,
        ], $assumed);
        $this->cancelWaiting('position_closed', $bar, $assumed);
    }

    /**
     * A target takes its share of all that was filled so far, not more than is open; the last one takes all that is
     * left when the shares add up to 1.
     */
    public function takeTarget(int $index, int $price, Bar $bar, bool $gap = false, bool $assumed = false): void
    {
        $target = $this->setup->targets[$index];
        $last = $index === count($this->setup->targets) - 1;
        $share = $last && $this->setup->targetsTakeAll()
            ? $this->position->open
            : BigDecimal::min($target->share->multipliedBy($this->position->filled), $this->position->open);
        $this->reached[$index] = true;
        $this->position->exit($share, $price, $this->costs(false));
        $this->closedAt = $bar->start;
        $this->events[] = Event::in($bar, EventKind::Target, [
            'number' => $index + 1,
            'price' => $this->price($price),
            'share' => self::share($share),
            'gap' => $gap,
        ], $assumed);
        if (! $this->position->isOpen()) {
            $this->trace->finalTargetAt = $price;
            $this->cancelWaiting('position_closed', $bar, $assumed);
        }
    }

    public function cancelWaiting(string $reason, Bar $bar, bool $assumed = false): void
    {
        foreach ($this->legs as $state) {
            if ($state->isWaiting()) {
                $this->end($state, LegStatus::Cancelled);
                $this->events[] = Event::in($bar, EventKind::Cancelled, ['leg' => $state->leg->name, 'reason' => $reason], $assumed);
            }
        }
    }

    /** Waiting legs expire, in a bar or, when no bar acts any more, at a moment without one. */
    public function expireWaiting(int $at, ?string $session): void
    {
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
        foreach ($this->setup->targets as $i => $target) {
            if (! isset($this->reached[$i]) && $price >= $target->price) {
                $indexes[] = $i;
            }
        }

        return $indexes;
    }

    private function end(LegState $state, LegStatus $status): void
    {
        $state->status = $status;
        $this->lastEnd = $status;
    }

    /** A price of the long as the instrument's own decimal string, on the scale of the last bar. */
    public function price(int $units): string
    {
        return $this->told($this->asPublished->side->sign() * $units, $this->factor);
    }

    /** Units of the run as a decimal string, on a scale on which one of them is worth so much. */
    public function told(int $units, int $factor): string
    {
        return $factor === 1 ? $this->grid->format($units) : $this->grid->formatExact(BigRational::nd($units, $factor));
    }

    /** Commission and slippage of one unit as published, by the units and ticks of the last bar. */
    private function costs(bool $slips): BigDecimal
    {
        return $this->costs->perUnit($this->grid, $slips)->multipliedBy($this->factor);
    }

    public static function share(BigDecimal $share): string
    {
        return (string) $share->stripTrailingZeros();
    }
}
