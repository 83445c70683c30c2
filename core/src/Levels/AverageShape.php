<?php

declare(strict_types=1);

namespace Watchpost\Core\Levels;

use Watchpost\Core\Indicators\Ema;
use Watchpost\Core\Indicators\Sma;
use Watchpost\Core\Indicators\Vwap;

/** A moving average, or the volume-weighted average since an anchor, as a level. */
final readonly class AverageShape implements Shape
{
    /**
     * @param string      $type   "sma", "ema" or "vwap"
     * @param int         $period of an average
     * @param string|null $since  session from which the volume-weighted average counts
     */
    public function __construct(private string $type, private int $period, private ?string $since = null)
    {
    }

    /** At each bar, the value of the bar before: what could be known while the bar traded (edge-cases.md, T52). */
    public function band(LevelInput $input): Band
    {
        return Band::moving($this->values($input))->asOfTheBarBefore();
    }

    public function next(LevelInput $input): ?array
    {
        $value = $this->values($input)[$input->last];

        return $value === null ? null : [$input->tick($value), $input->tick($value)];
    }

    public function moves(): bool
    {
        return true;
    }

    /**
     * Its values in units.
     *
     * @return list<float|null>
     */
    public function values(LevelInput $input): array
    {
        if ($this->type !== 'vwap') {
            return $this->type === 'ema' ? Ema::of($input->closes, $this->period) : Sma::of($input->closes, $this->period);
        }
        $anchor = 0;
        foreach ($input->series->session as $i => $session) {
            if ($session >= (string) $this->since) {
                $anchor = $i;
                break;
            }
        }

        return Vwap::of($input->highs, $input->lows, $input->closes, $input->volumes, $input->series->session, 1.0, $anchor)['vwap'];
    }
}
