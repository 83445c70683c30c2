<?php

declare(strict_types=1);

namespace Watchpost\Core\Setups;

use Brick\Math\BigDecimal;
use Watchpost\Core\Market\TimeFrame;
use Watchpost\Core\Setups\Conditions\Condition;
use Watchpost\Core\Setups\StopMoves\StopMove;
use Watchpost\Core\Studies\Study;

/**
 * One trade idea, complete and valid: what {@see SetupReader} hands out. Prices in units, times in Unix seconds.
 */
final readonly class Setup
{
    /** Sessions before publication that are read for averages and ranges, and for those of weeks and longer. */
    private const LOOK_BACK = 600;
    private const LONG_LOOK_BACK = 1_500;

    /**
     * @param non-empty-list<Leg> $legs
     * @param list<Target>        $targets         in order away from the entry
     * @param list<Condition>     $conditions      in the order in which they are checked
     * @param CloseRule|null      $stopCloses      null for a stop by touch
     * @param list<StopMove>      $stopMoves
     * @param int|null            $timeStop        sessions held, at whose last close all is out
     * @param string|null         $lastSession     date of the instrument's last session
     * @param string|null         $group           of setups of which the first fill ends the others
     */
    public function __construct(
        public Side $side,
        public int $publishedAt,
        public int $entryUntil,
        public array $legs,
        public int $stop,
        public array $targets,
        public ?Cancel $cancel,
        public ?CloseRule $stopCloses = null,
        public array $conditions = [],
        public array $stopMoves = [],
        public ?int $timeStop = null,
        public ?OpenExit $openExit = null,
        public ?string $lastSession = null,
        public ?string $group = null,
    ) {
    }

    /** The setup as a long: itself, or for a short the same idea on negated prices. */
    public function asLong(): self
    {
        return $this->side === Side::Long ? $this : $this->withPrices(
            Side::Long,
            static fn (Leg $leg): Leg => $leg->mirrored(),
            static fn (Target $target): Target => $target->mirrored(),
            static fn (StopMove $move): StopMove => $move->mirrored(),
            -$this->stop,
            $this->cancel?->mirrored(),
        );
    }

    /** The setup with prices times a whole number. */
    public function times(int $factor): self
    {
        return $factor === 1 ? $this : $this->withPrices(
            $this->side,
            static fn (Leg $leg): Leg => $leg->times($factor),
            static fn (Target $target): Target => $target->times($factor),
            static fn (StopMove $move): StopMove => $move->times($factor),
            $this->stop * $factor,
            $this->cancel?->times($factor),
        );
    }

    /**
     * The planned price of each leg that has one, tolerance included: for a long touch price + within, for a short
     * price - within.
     *
     * @return array<int, int> in units, by the number of the leg
     */
    public function entryPrices(): array
    {
        $sign = $this->side->sign();
        $prices = [];
        foreach ($this->asLong()->legs as $i => $leg) {
            $price = $leg->trigger->plannedPrice();
            if ($price !== null) {
                $prices[$i] = $sign * $price;
            }
        }

        return $prices;
    }

    /**
     * The planned risk P of one unit of the full size: the sum over legs of share x |leg price - stop|, which is 1 R.
     *
     * Unit: units of the price grid. Source: rules.md, Result.
     *
     * @param int|null $open the price taken for legs that fill at an open and have none of their own; without it they
     *                       are left out
     */
    public function plannedRisk(?int $open = null): BigDecimal
    {
        $risk = BigDecimal::zero();
        $prices = $this->entryPrices();
        foreach ($this->legs as $i => $leg) {
            $price = $prices[$i] ?? $open;
            if ($price !== null) {
                $risk = $risk->plus($leg->share->multipliedBy(abs($price - $this->stop)));
            }
        }

        return $risk;
    }

    /**
     * The setup's prices in R: 0 at the average planned entry of all legs, -1 at the stop.
     *
     * @param int|null $open the price taken for legs that fill at an open and have none of their own
     *
     * @throws \InvalidArgumentException when no leg has a price
     */
    public function rScale(?int $open = null): RScale
    {
        $entries = [];
        foreach ($this->legs as $i => $leg) {
            $price = $this->entryPrices()[$i] ?? $open;
            if ($price !== null) {
                $entries[] = [$price, $leg->share];
            }
        }

        return RScale::between($entries, $this->stop);
    }

    /** Whether an open at a price, in units, would fill a leg at once, other than one that always fills at an open. */
    public function wouldFillAt(int $price): bool
    {
        $open = new BarOpen($this->side->sign() * $price, null, true);
        foreach ($this->asLong()->legs as $leg) {
            if ($leg->needs === null && $leg->trigger->atOpen($open, new TriggerMemory()) === OpenVerdict::Fills) {
                return true;
            }
        }

        return false;
    }

    /** Whether the shares of the targets add up to 1, so that the last one takes all that is left. */
    public function targetsTakeAll(): bool
    {
        $sum = BigDecimal::zero();
        foreach ($this->targets as $target) {
            $sum = $sum->plus($target->share);
        }

        return $sum->isEqualTo(1);
    }

    /**
     * Every time frame whose closes are listened to, the smallest first.
     *
     * @return list<TimeFrame>
     */
    public function timeFrames(): array
    {
        $frames = [$this->stopCloses?->timeFrame, $this->cancel?->closes?->timeFrame];
        foreach ($this->legs as $leg) {
            $frames[] = $leg->trigger->timeFrame();
        }
        foreach ($this->studies() as $study) {
            $frames[] = $study->timeFrame();
        }
        foreach ($this->stopMoves as $move) {
            $frames[] = $move->to->closesOf();
        }

        return array_values(array_filter(TimeFrame::cases(), static fn (TimeFrame $frame): bool => in_array($frame, $frames, true)));
    }

    /** Whether it listens to closes of weeks or longer. */
    public function listensBeyondSessions(): bool
    {
        foreach ($this->timeFrames() as $frame) {
            if (TimeFrame::Day->isFinerThan($frame)) {
                return true;
            }
        }

        return false;
    }

    /** Whether all that looks back does so over whole sessions or longer, so that old sessions may be one bar each. */
    public function looksBackBySessions(): bool
    {
        foreach ($this->studies() as $study) {
            if ($study->timeFrame()->isFinerThan(TimeFrame::Day)) {
                return false;
            }
        }

        return true;
    }

    /** How many sessions before publication are fed, so that what looks back finds something: gaps, averages, ranges. */
    public function lookBack(): int
    {
        return match (true) {
            $this->studies() === [] && ! $this->needsVolume() => 1,
            $this->listensBeyondSessions() => self::LONG_LOOK_BACK,
            default => self::LOOK_BACK,
        };
    }

    /** @return list<string> the time frames of which a trail wants the highest close */
    public function trailedTimeFrames(): array
    {
        $frames = [];
        foreach ($this->stopMoves as $move) {
            $frame = $move->to->closesOf()?->value;
            if ($frame !== null) {
                $frames[$frame] = $frame;
            }
        }

        return array_values($frames);
    }

    /** @return list<Study> what conditions and trails follow from bar to bar, new ones, each once */
    public function studies(): array
    {
        $studies = [];
        foreach ($this->conditions as $condition) {
            foreach ($condition->studies() as $study) {
                $studies[$study->name()] = $study;
            }
        }
        foreach ($this->stopMoves as $move) {
            foreach ($move->to->studies() as $study) {
                $studies[$study->name()] = $study;
            }
        }

        return array_values($studies);
    }

    public function needsVolume(): bool
    {
        foreach ($this->conditions as $condition) {
            if ($condition->needsVolume()) {
                return true;
            }
        }

        return false;
    }

    /**
     * @param callable(Leg): Leg           $leg
     * @param callable(Target): Target     $target
     * @param callable(StopMove): StopMove $move
     */
    private function withPrices(Side $side, callable $leg, callable $target, callable $move, int $stop, ?Cancel $cancel): self
    {
        return new self(
            $side,
            $this->publishedAt,
            $this->entryUntil,
            array_map($leg, $this->legs),
            $stop,
            array_map($target, $this->targets),
            $cancel,
            $this->stopCloses,
            $this->conditions,
            array_map($move, $this->stopMoves),
            $this->timeStop,
            $this->openExit,
            $this->lastSession,
            $this->group,
        );
    }
}
