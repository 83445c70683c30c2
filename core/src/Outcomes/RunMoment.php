<?php

declare(strict_types=1);

namespace Watchpost\Core\Outcomes;

use Brick\Math\BigDecimal;
use Brick\Math\BigRational;
use Watchpost\Core\Market\FrameBar;
use Watchpost\Core\Setups\Conditions\Moment;
use Watchpost\Core\Setups\SessionStart;
use Watchpost\Core\Studies\Study;

/** A run at the moment at which one of its legs would be filled. */
final readonly class RunMoment implements Moment
{
    private const MILLION = 1e6;

    public function __construct(private SetupRun $run, private int $at, private ?FrameBar $closed)
    {
    }

    public function at(): int
    {
        return $this->at;
    }

    public function sessionOpen(): int
    {
        return $this->run->track->session()->open ?? $this->at;
    }

    public function session(): ?SessionStart
    {
        return $this->run->track->start();
    }

    public function relativeVolume(): ?BigRational
    {
        return $this->run->volume?->relative();
    }

    public function triggerBar(): ?FrameBar
    {
        return $this->closed;
    }

    public function sign(): int
    {
        return $this->run->sign;
    }

    public function sessionClose(): ?int
    {
        return $this->run->sessionClose;
    }

    public function study(Study $like): ?float
    {
        return ($this->run->studies[$like->name()] ?? null)?->value();
    }

    public function fine(float $units): float
    {
        return round($units / $this->run->factor * self::MILLION);
    }

    public function other(string $symbol): ?BigDecimal
    {
        return $this->run->terms->others->closeBy($symbol, $this->at);
    }
}
