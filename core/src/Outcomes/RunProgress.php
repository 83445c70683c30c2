<?php

declare(strict_types=1);

namespace Watchpost\Core\Outcomes;

use Brick\Math\BigRational;
use Brick\Math\RoundingMode;
use Watchpost\Core\Market\TimeFrame;
use Watchpost\Core\Setups\StopMoves\Progress;
use Watchpost\Core\Studies\Study;

/** A run at the close of a base bar, as a move of its stop sees it. */
final readonly class RunProgress implements Progress
{
    private const MILLION = 1_000_000;

    public function __construct(private SetupRun $run)
    {
    }

    public function reached(int $number): bool
    {
        return isset($this->run->reached[$number - 1]);
    }

    public function best(): ?int
    {
        return $this->run->best();
    }

    public function averageFill(): BigRational
    {
        return $this->run->position->averageFill();
    }

    public function firstStop(): int
    {
        return $this->run->setup->stop;
    }

    public function sessionsOver(): int
    {
        return $this->run->sessionsSeen - ($this->run->track->over ? 0 : 1);
    }

    public function target(int $number): int
    {
        return $this->run->targets[$number - 1]->price;
    }

    public function study(Study $like): ?float
    {
        return ($this->run->studies[$like->name()] ?? null)?->value();
    }

    public function highestClose(TimeFrame $timeFrame): ?int
    {
        return $this->run->highestClose[$timeFrame->value] ?? null;
    }

    public function toTick(float|BigRational $units): int
    {
        $tick = $this->run->terms->grid->tick;
        $factor = $this->run->factor;
        if ($units instanceof BigRational) {
            return $units->dividedBy($tick * $factor)->toScale(0, RoundingMode::FLOOR)->toInt() * $tick * $factor;
        }
        // a computed value counts to a millionth of the smallest unit (fine print 33)
        $millionths = (int) round($units / $factor * self::MILLION);
        $step = $tick * self::MILLION;
        $below = $millionths % $step;

        return intdiv($millionths - ($below < 0 ? $below + $step : $below), $step) * $tick * $factor;
    }
}
