<?php

declare(strict_types=1);

namespace Watchpost\Core\Setups\StopMoves;

use Watchpost\Core\Market\PriceGrid;
use Watchpost\Core\Market\TimeFrame;
use Watchpost\Core\Setups\Words;
use Watchpost\Core\Studies\AverageType;
use Watchpost\Core\Studies\Study;

/** An average of closes of a time frame. */
final readonly class AverageTrail implements Destination
{
    use Trailing;

    private Study $study;

    public function __construct(private TimeFrame $timeFrame, private AverageType $type, private int $period)
    {
        $this->study = $this->type->study($this->timeFrame, $this->period);
    }

    public function price(Progress $progress): ?int
    {
        $average = $progress->study($this->study);

        return $average === null ? null : $progress->toTick($average);
    }

    public function studies(): array
    {
        return [$this->study];
    }

    public function toRules(PriceGrid $grid): array
    {
        return ['kind' => 'average', 'timeframe' => $this->timeFrame->value, 'type' => $this->type->value, 'period' => $this->period];
    }

    public function describe(Words $words): string
    {
        return "trails the {$this->type->words($this->period, $words->bar($this->timeFrame))}";
    }
}
