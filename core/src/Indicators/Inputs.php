<?php

declare(strict_types=1);

namespace Watchpost\Core\Indicators;

use Watchpost\Core\Market\Bar;
use Watchpost\Core\Market\PriceGrid;

/** The columns that indicators read: prices in currency, volume, and the session of each bar. */
final readonly class Inputs
{
    /**
     * @param list<string> $session
     * @param list<float>  $high
     * @param list<float>  $low
     * @param list<float>  $close
     * @param list<float>  $volume
     */
    public function __construct(public array $session, public array $high, public array $low, public array $close, public array $volume)
    {
    }

    /** @param list<Bar> $bars */
    public static function of(array $bars, PriceGrid $grid): self
    {
        return new self(
            array_map(static fn (Bar $bar): string => $bar->session, $bars),
            array_map(static fn (Bar $bar): float => $grid->toFloat($bar->high), $bars),
            array_map(static fn (Bar $bar): float => $grid->toFloat($bar->low), $bars),
            array_map(static fn (Bar $bar): float => $grid->toFloat($bar->close), $bars),
            array_map(static fn (Bar $bar): float => (float) $bar->volume, $bars),
        );
    }
}
