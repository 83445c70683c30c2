<?php

declare(strict_types=1);

namespace App\Reading;

use App\Data\FrameReadingData;
use App\Market\AverageSetting;
use Watchpost\Core\Indicators\Atr;
use Watchpost\Core\Indicators\AverageOrder;
use Watchpost\Core\Indicators\Compression;
use Watchpost\Core\Indicators\Divergence;
use Watchpost\Core\Indicators\RelativeVolume;
use Watchpost\Core\Indicators\Rsi;
use Watchpost\Core\Indicators\Streaks;
use Watchpost\Core\Indicators\ZScore;
use Watchpost\Core\Market\Series;

/** Reads what a series shows on its last bar. */
final readonly class FrameReader
{
    private const PERIOD = 20;
    private const RSI_PERIOD = 14;
    private const DIVERGENCE_BARS = 20;
    private const SHAPE_BARS = 8;

    /** @param list<AverageSetting> $order from the fastest to the slowest */
    public function read(Series $series, array $order): FrameReadingData
    {
        $closes = $series->closes();
        [$highs, $lows] = [$series->highs(), $series->lows()];
        $last = $series->count() - 1;
        $lines = array_map(static fn (AverageSetting $one): array => $one->of($closes), $order);
        $slopes = $lines === [] ? [] : AverageOrder::slope($lines[count($lines) - 1], Atr::of($highs, $lows, $closes, config()->integer('watchpost.chart.atr_period')));
        $compression = Compression::of($closes);

        return new FrameReadingData(
            $series->timeFrame,
            AverageOrder::of($closes, $lines)[$last] ?? null,
            $slopes[$last] ?? null,
            Rsi::of($closes, self::RSI_PERIOD)[$last] ?? null,
            ZScore::of($closes, self::PERIOD)[$last] ?? null,
            RelativeVolume::of(array_map(floatval(...), $series->volume), self::PERIOD)[$last] ?? null,
            Streaks::of($closes)[$last] ?? null,
            self::whole($compression['bars'][$last] ?? null),
            self::whole($compression['released'][$last] ?? null),
            $this->shape($highs, $lows, $closes),
            $this->divergence($highs, $lows, $closes),
        );
    }

    private static function whole(?float $value): ?int
    {
        return $value === null ? null : (int) $value;
    }

    /**
     * @param list<float> $highs
     * @param list<float> $lows
     * @param list<float> $closes
     */
    private function shape(array $highs, array $lows, array $closes): string
    {
        $shapes = Streaks::shapes(array_slice($highs, -self::SHAPE_BARS), array_slice($lows, -self::SHAPE_BARS), array_slice($closes, -self::SHAPE_BARS));
        $last = count($shapes['place']) - 1;
        if ($last < 0) {
            return '';
        }

        return implode(', ', array_filter([
            $shapes['inside'][$last] === true ? 'inside' : null,
            $shapes['outside'][$last] === true ? 'outside' : null,
            $shapes['narrowest'][$last] === true ? 'narrowest of 7' : null,
            'closed at '.number_format($shapes['place'][$last] * 100).' % of its range',
        ]));
    }

    /**
     * @param list<float> $highs
     * @param list<float> $lows
     * @param list<float> $closes
     */
    private function divergence(array $highs, array $lows, array $closes): string
    {
        $found = Divergence::of($highs, $lows, $closes);
        for ($i = count($closes) - 1, $oldest = max(0, $i - self::DIVERGENCE_BARS); $i >= $oldest; --$i) {
            $ago = count($closes) - 1 - $i;
            $when = match ($ago) {
                0 => 'known on this bar',
                1 => 'known 1 bar ago',
                default => "known {$ago} bars ago",
            };
            if ($found['bearish'][$i]) {
                return "higher high, lower RSI, {$when}";
            }
            if ($found['bullish'][$i]) {
                return "lower low, higher RSI, {$when}";
            }
        }

        return '';
    }
}
