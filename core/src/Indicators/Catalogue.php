<?php

declare(strict_types=1);

namespace Watchpost\Core\Indicators;

/** Every indicator by name. The formulas stand with the classes that compute them. */
final class Catalogue
{
    /** @return array<string, Indicator> */
    public static function all(): array
    {
        $all = [];
        foreach ([...self::averages(), ...self::oscillators(), ...self::bands(), ...self::volumes(), ...self::ranges()] as $indicator) {
            $all[$indicator->name] = $indicator;
        }

        return $all;
    }

    /** @return list<Indicator> */
    private static function averages(): array
    {
        return [
            new Indicator('sma', [Parameter::bars('period', 20)], [], static fn (Inputs $in, array $n): array => Sma::of($in->close, $n['period'])),
            new Indicator('ema', [Parameter::bars('period', 20)], [], static fn (Inputs $in, array $n): array => Ema::of($in->close, $n['period'])),
            new Indicator(
                'cloud',
                [Parameter::bars('short', 9), Parameter::bars('medium', 26), Parameter::bars('long', 52)],
                ['conversion', 'base', 'leading_a', 'leading_b', 'lagging'],
                static fn (Inputs $in, array $n): array => Cloud::of($in->high, $in->low, $in->close, $n['short'], $n['medium'], $n['long']),
            ),
        ];
    }

    /** @return list<Indicator> */
    private static function oscillators(): array
    {
        return [
            new Indicator('rsi', [Parameter::bars('period', 14)], [], static fn (Inputs $in, array $n): array => Rsi::of($in->close, $n['period'])),
            new Indicator(
                'macd',
                [Parameter::bars('fast', 12), Parameter::bars('slow', 26), Parameter::bars('signal', 9)],
                ['macd', 'signal', 'histogram'],
                static fn (Inputs $in, array $n): array => Macd::of($in->close, $n['fast'], $n['slow'], $n['signal']),
            ),
            new Indicator(
                'stochastic',
                [Parameter::bars('k', 14), Parameter::bars('smooth', 3), Parameter::bars('d', 3)],
                ['k', 'd'],
                static fn (Inputs $in, array $n): array => Stochastic::of($in->high, $in->low, $in->close, $n['k'], $n['smooth'], $n['d']),
            ),
            new Indicator(
                'directional_movement',
                [Parameter::bars('period', 14)],
                ['plus', 'minus', 'dx', 'adx'],
                static fn (Inputs $in, array $n): array => DirectionalMovement::of($in->high, $in->low, $in->close, $n['period']),
            ),
            new Indicator('z_score', [Parameter::bars('period', 20)], [], static fn (Inputs $in, array $n): array => ZScore::of($in->close, $n['period'])),
            new Indicator('rolling_return', [Parameter::bars('period', 21)], [], static fn (Inputs $in, array $n): array => RollingReturn::of($in->close, $n['period'])),
        ];
    }

    /** @return list<Indicator> */
    private static function bands(): array
    {
        return [
            new Indicator(
                'bollinger',
                [Parameter::bars('period', 20), Parameter::multiple('k', 2.0)],
                ['upper', 'middle', 'lower', 'percent_b', 'width'],
                static fn (Inputs $in, array $n, array $x): array => Bollinger::of($in->close, $n['period'], $x['k']),
            ),
            new Indicator(
                'keltner',
                [Parameter::bars('period', 20), Parameter::bars('atr_period', 10), Parameter::multiple('k', 2.0)],
                ['upper', 'middle', 'lower'],
                static fn (Inputs $in, array $n, array $x): array => Keltner::of($in->high, $in->low, $in->close, $n['period'], $n['atr_period'], $x['k']),
            ),
            new Indicator('compression', [], ['bars', 'released'], static fn (Inputs $in): array => Compression::of($in->close)),
        ];
    }

    /** @return list<Indicator> */
    private static function volumes(): array
    {
        return [
            new Indicator('volume_average', [Parameter::bars('period', 20)], [], static fn (Inputs $in, array $n): array => Sma::of($in->volume, $n['period'])),
            new Indicator('relative_volume', [Parameter::bars('period', 20)], [], static fn (Inputs $in, array $n): array => RelativeVolume::of($in->volume, $n['period'])),
            new Indicator(
                'vwap',
                [Parameter::multiple('k', 1.0)],
                ['vwap', 'upper', 'lower'],
                static fn (Inputs $in, array $n, array $x): array => Vwap::of($in->high, $in->low, $in->close, $in->volume, $in->session, $x['k']),
            ),
        ];
    }

    /** @return list<Indicator> */
    private static function ranges(): array
    {
        return [
            new Indicator('true_range', [], [], static fn (Inputs $in): array => TrueRange::of($in->high, $in->low, $in->close)),
            new Indicator('atr', [Parameter::bars('period', 14)], [], static fn (Inputs $in, array $n): array => Atr::of($in->high, $in->low, $in->close, $n['period'])),
            new Indicator(
                'atr_stop',
                [Parameter::bars('period', 14), Parameter::multiple('k', 3.0)],
                ['stop', 'direction'],
                static fn (Inputs $in, array $n, array $x): array => AtrStop::of($in->high, $in->low, $in->close, $n['period'], $x['k']),
            ),
            new Indicator('average_daily_range', [Parameter::bars('period', 20)], [], static fn (Inputs $in, array $n): array => AverageDailyRange::of($in->high, $in->low, $n['period'])),
            new Indicator(
                'expected_range',
                [Parameter::bars('sessions', 250)],
                ['low', 'high', 'held_low', 'held_high', 'held'],
                static fn (Inputs $in, array $n): array => ExpectedRange::of($in->high, $in->low, $in->close, $n['sessions']),
            ),
        ];
    }
}
