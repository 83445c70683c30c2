<?php

declare(strict_types=1);

namespace App\Market;

use App\Enums\AverageKind;
use Watchpost\Core\Indicators\Ema;
use Watchpost\Core\Indicators\Sma;

/** A moving average that an author wants to see. */
final readonly class AverageSetting
{
    public function __construct(public AverageKind $kind, public int $period)
    {
    }

    public function name(): string
    {
        return strtoupper($this->kind->value).' '.$this->period;
    }

    /**
     * @param list<float> $closes
     *
     * @return list<float|null>
     */
    public function of(array $closes): array
    {
        return $this->kind === AverageKind::Exponential ? Ema::of($closes, $this->period) : Sma::of($closes, $this->period);
    }
}
