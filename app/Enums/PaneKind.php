<?php

declare(strict_types=1);

namespace App\Enums;

/** What can be shown below the price, with the parameters that can be set and what they usually are. */
enum PaneKind: string
{
    case Volume = 'volume';
    case Rsi = 'rsi';
    case Macd = 'macd';
    case Stochastic = 'stochastic';
    case DirectionalMovement = 'directional_movement';
    case ZScore = 'z_score';
    case Ratio = 'ratio';

    public function label(): string
    {
        return match ($this) {
            self::Volume => 'Volume',
            self::Rsi => 'RSI',
            self::Macd => 'MACD',
            self::Stochastic => 'Stochastic',
            self::DirectionalMovement => 'Directional movement',
            self::ZScore => 'Z-score',
            self::Ratio => 'Ratio',
        };
    }

    /** @return array<string, int> numbers of bars by name, but for the limits of the RSI and the stochastic */
    public function parameters(): array
    {
        return match ($this) {
            self::Volume => ['period' => 20],
            self::Rsi => ['period' => 14, 'low' => 30, 'high' => 70],
            self::Macd => ['fast' => 12, 'slow' => 26, 'signal' => 9],
            self::Stochastic => ['k' => 14, 'smooth' => 3, 'd' => 3, 'low' => 20, 'high' => 80],
            self::DirectionalMovement => ['period' => 14],
            self::ZScore => ['period' => 20],
            self::Ratio => ['average' => 50],
        };
    }
}
