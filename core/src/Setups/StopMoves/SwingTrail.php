<?php

declare(strict_types=1);

namespace Watchpost\Core\Setups\StopMoves;

use Watchpost\Core\Market\PriceGrid;
use Watchpost\Core\Market\TimeFrame;
use Watchpost\Core\Setups\Words;
use Watchpost\Core\Studies\LowestLow;
use Watchpost\Core\Studies\Study;

/** The lowest low of the last few finished bars of a time frame. */
final readonly class SwingTrail implements Destination
{
    use Trailing;

    private Study $study;

    public function __construct(private TimeFrame $timeFrame, private int $bars)
    {
        $this->study = new LowestLow($this->timeFrame, $this->bars);
    }

    public function price(Progress $progress): ?int
    {
        $lowest = $progress->study($this->study);

        return $lowest === null ? null : $progress->toTick($lowest);
    }

    public function studies(): array
    {
        return [$this->study];
    }

    public function toRules(PriceGrid $grid): array
    {
        return ['kind' => 'swing', 'timeframe' => $this->timeFrame->value, 'bars' => $this->bars];
    }

    public function describe(Words $words): string
    {
        return 'trails the '.($words->above() === 'above' ? 'lowest low' : 'highest high')." of the last {$this->bars} {$words->bar($this->timeFrame)}s";
    }
}
