<?php

declare(strict_types=1);

namespace App\Record;

use App\Models\Instrument;
use Brick\Math\BigDecimal;
use Illuminate\Support\Facades\DB;
use Watchpost\Core\Market\TimeFrame;
use Watchpost\Core\Outcomes\OtherBars;

/** The bars of the market, for a condition on another symbol than that of the setup. */
final readonly class MarketBars implements OtherBars
{
    public function __construct(private TimeFrame $base)
    {
    }

    public function closeBy(string $symbol, int $moment): ?BigDecimal
    {
        $instrument = Instrument::query()->where('symbol', $symbol)->first();
        $close = $instrument === null ? null : DB::table('bars')
            ->where('instrument_id', $instrument->id)
            ->where('timeframe', $this->base->value)
            ->where('extended', false)
            ->where('ends_at', '<=', $moment)
            ->orderByDesc('starts_at')
            ->value('close');

        return is_int($close) ? BigDecimal::ofUnscaledValue($close, $instrument->decimals) : null;
    }
}
