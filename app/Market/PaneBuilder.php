<?php

declare(strict_types=1);

namespace App\Market;

use App\Data\PaneData;
use App\Data\PaneLineData;
use App\Enums\PaneKind;
use App\Models\Instrument;
use Watchpost\Core\Indicators\DirectionalMovement;
use Watchpost\Core\Indicators\Macd;
use Watchpost\Core\Indicators\RelativeVolume;
use Watchpost\Core\Indicators\Rsi;
use Watchpost\Core\Indicators\Sma;
use Watchpost\Core\Indicators\Stochastic;
use Watchpost\Core\Indicators\ZScore;
use Watchpost\Core\Market\Series;
use Watchpost\Core\Scanning\Ratio;

/** Computes the panes below the price. */
final readonly class PaneBuilder
{
    public function __construct(private BarRepository $bars)
    {
    }

    /** @param int $skip bars at the beginning that are not shown */
    public function build(PaneSetting $pane, Instrument $instrument, Series $series, int $skip): PaneData
    {
        $n = $pane->parameters;
        $closes = $series->closes();

        $whole = match ($pane->kind) {
            PaneKind::Volume => $this->volume($series, $n['period']),
            PaneKind::Rsi => new PaneData($pane->kind, "RSI {$n['period']}", [new PaneLineData('RSI', Rsi::of($closes, $n['period']), false)], [(float) $n['low'], (float) $n['high']], 0.0, 100.0, 1, ''),
            PaneKind::Macd => $this->macd($series, $n),
            PaneKind::Stochastic => $this->stochastic($series, $n),
            PaneKind::DirectionalMovement => $this->movement($series, $n['period']),
            PaneKind::ZScore => new PaneData($pane->kind, "Z-score {$n['period']}", [new PaneLineData('z', ZScore::of($closes, $n['period']), false)], [-2.0, 0.0, 2.0], null, null, 2, ''),
            PaneKind::Ratio => $this->ratio($pane, $instrument, $series),
        };

        return $whole->from($skip);
    }

    private function volume(Series $series, int $period): PaneData
    {
        $volume = array_map(floatval(...), $series->volume);
        $relative = RelativeVolume::of($volume, $period);
        $last = $relative === [] ? null : $relative[count($relative) - 1];

        return new PaneData(PaneKind::Volume, 'Volume', [new PaneLineData('volume', $volume, true), new PaneLineData("average of {$period}", Sma::of($volume, $period), false)], [], 0.0, null, 0, $last === null ? '' : sprintf('%.2f × the %d bars before', $last, $period));
    }

    /** @param array<string, int> $n */
    private function macd(Series $series, array $n): PaneData
    {
        $macd = Macd::of($series->closes(), $n['fast'], $n['slow'], $n['signal']);

        return new PaneData(
            PaneKind::Macd,
            "MACD {$n['fast']}, {$n['slow']}, {$n['signal']}",
            [new PaneLineData('histogram', $macd['histogram'], true), new PaneLineData('MACD', $macd['macd'], false), new PaneLineData('signal', $macd['signal'], false)],
            [0.0],
            null,
            null,
            $series->grid->decimals + 1,
            '',
        );
    }

    /** @param array<string, int> $n */
    private function stochastic(Series $series, array $n): PaneData
    {
        $stochastic = Stochastic::of($series->highs(), $series->lows(), $series->closes(), $n['k'], $n['smooth'], $n['d']);

        return new PaneData(
            PaneKind::Stochastic,
            "Stochastic {$n['k']}, {$n['smooth']}, {$n['d']}",
            [new PaneLineData('%K', $stochastic['k'], false), new PaneLineData('%D', $stochastic['d'], false)],
            [(float) $n['low'], (float) $n['high']],
            0.0,
            100.0,
            1,
            '',
        );
    }

    private function movement(Series $series, int $period): PaneData
    {
        $movement = DirectionalMovement::of($series->highs(), $series->lows(), $series->closes(), $period);

        return new PaneData(
            PaneKind::DirectionalMovement,
            "Directional movement {$period}",
            [new PaneLineData('ADX', $movement['adx'], false), new PaneLineData('+DI', $movement['plus'], false), new PaneLineData('−DI', $movement['minus'], false)],
            [25.0],
            0.0,
            null,
            1,
            '',
        );
    }

    private function ratio(PaneSetting $pane, Instrument $instrument, Series $series): PaneData
    {
        $symbol = $pane->symbol ?? $instrument->benchmark ?? '';
        $other = Instrument::query()->where('symbol', $symbol)->first();
        if ($other === null || $other->id === $instrument->id) {
            return new PaneData(PaneKind::Ratio, 'Ratio', [], [], null, null, 2, $other === null ? "There is no {$symbol} to compare with." : 'An instrument is not compared with itself.');
        }
        $keys = $series->timeFrame->seconds() === null ? $series->session : array_map(strval(...), $series->start);
        $against = $this->bars->series($other, $series->timeFrame, $series->count() + 20);
        $otherKeys = $series->timeFrame->seconds() === null ? $against->session : array_map(strval(...), $against->start);
        $ratio = Ratio::of($series->closesBy($keys), $against->closesBy($otherKeys));
        $average = Sma::of($ratio->rebased(), $pane->parameters['average']);
        $values = array_combine($ratio->dates, $ratio->rebased());
        $averages = array_combine($ratio->dates, $average);

        return new PaneData(
            PaneKind::Ratio,
            "{$instrument->symbol} / {$symbol}",
            [
                new PaneLineData('ratio', array_map(static fn (string $key): ?float => $values[$key] ?? null, $keys), false),
                new PaneLineData('SMA '.$pane->parameters['average'], array_map(static fn (string $key): ?float => $averages[$key] ?? null, $keys), false),
            ],
            [],
            null,
            null,
            2,
            'first bar read = 100',
        );
    }
}
