<?php

declare(strict_types=1);

namespace Watchpost\Core\Indicators;

/** The difference of a fast and a slow exponential average. */
final class Macd
{
    /**
     * macd = ema(fast) - ema(slow); signal = ema(signal) of it, seeded from its first defined values; histogram =
     * macd - signal. Null where a part is undefined.
     *
     * Unit: that of the prices. Source: computations.md, Indicators.
     *
     * @param list<float> $close
     *
     * @return array{macd: list<float|null>, signal: list<float|null>, histogram: list<float|null>}
     *
     * @throws \InvalidArgumentException when a period is below 1
     */
    public static function of(array $close, int $fast, int $slow, int $signal): array
    {
        $macd = Columns::difference(Ema::of($close, $fast), Ema::of($close, $slow));
        $line = Ema::of($macd, $signal);

        return ['macd' => $macd, 'signal' => $line, 'histogram' => Columns::difference($macd, $line)];
    }
}
