<?php

declare(strict_types=1);

namespace Watchpost\Core\Setups\StopMoves;

use Brick\Math\BigDecimal;
use Watchpost\Core\Market\PriceGrid;
use Watchpost\Core\Market\TimeFrame;
use Watchpost\Core\Setups\Words;
use Watchpost\Core\Studies\AverageTrueRange;
use Watchpost\Core\Studies\Study;

/** So many average true ranges below the highest close of a time frame since the first fill. */
final readonly class AtrTrail implements Destination
{
    use Trailing;

    private Study $study;

    public function __construct(private TimeFrame $timeFrame, private int $period, private BigDecimal $multiple)
    {
        $this->study = new AverageTrueRange($this->timeFrame, $this->period);
    }

    public function price(Progress $progress): ?int
    {
        $highest = $progress->highestClose($this->timeFrame);
        $range = $progress->study($this->study);

        return $highest === null || $range === null ? null : $progress->toTick($highest - $this->multiple->toFloat() * $range);
    }

    public function studies(): array
    {
        return [$this->study];
    }

    public function closesOf(): TimeFrame
    {
        return $this->timeFrame;
    }

    public function toRules(PriceGrid $grid): array
    {
        return ['kind' => 'atr', 'timeframe' => $this->timeFrame->value, 'period' => $this->period, 'multiple' => (string) $this->multiple];
    }

    public function describe(Words $words): string
    {
        return "trails {$words->number($this->multiple)} average true ranges of {$this->period} {$words->bar($this->timeFrame)}s {$words->below()} the ".($words->above() === 'above' ? 'highest' : 'lowest')." {$words->closing($this->timeFrame)} close";
    }
}
