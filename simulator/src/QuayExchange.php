<?php

declare(strict_types=1);

namespace Watchpost\Simulator;

use Watchpost\Core\Market\ExchangeCalendar;
use Watchpost\Core\Market\Instrument;
use Watchpost\Core\Market\InstrumentKind;
use Watchpost\Core\Market\PriceGrid;

/** The Quay Exchange of a made-up coast: its hours, its holidays and what is traded on it. */
final class QuayExchange
{
    public const NAME = 'Quay Exchange';

    /** The first session of the history. */
    public const FIRST_DATE = '2024-10-14';

    public static function calendar(): ExchangeCalendar
    {
        $holidays = [];
        $halfDays = [];
        foreach (range(2024, 2028) as $year) {
            $holidays["{$year}-01-01"] = 'New Year';
            $holidays["{$year}-03-19"] = 'Spring Tide';
            $holidays["{$year}-05-01"] = 'May Day';
            $holidays["{$year}-06-24"] = 'Midsummer';
            $holidays["{$year}-10-19"] = 'Lamplighters\' Day';
            $holidays["{$year}-12-25"] = 'Christmas';
            $halfDays["{$year}-12-24"] = '13:00';
        }

        return new ExchangeCalendar(self::NAME, new \DateTimeZone('Atlantic/Faroe'), '09:30', '16:00', $holidays, $halfDays);
    }

    /** @return array<string, Listing> by symbol */
    public static function listings(): array
    {
        $rows = [
            // symbol, name, kind, decimals, tick in units, currency, group, first price, daily move, beta, volume
            ['NORD.Q', 'North Quay 40', InstrumentKind::Index, 1, 1, 'QUD', 'Indexes', 16_200.0, 0.004, 1.0, 0],
            ['MIRR.Q', 'Mirror North Quay Fund', InstrumentKind::Fund, 2, 1, 'QUD', 'Funds', 41.0, 0.003, -1.0, 310_000],
            ['BRKF.Q', 'Brackfen Foods', InstrumentKind::Share, 2, 1, 'QUD', 'Food and drink', 36.5, 0.013, 0.7, 240_000],
            ['KELP.Q', 'Kelp and Lantern', InstrumentKind::Share, 2, 1, 'QUD', 'Food and drink', 11.2, 0.019, 0.8, 520_000],
            ['TARN.Q', 'Tarn Water Works', InstrumentKind::Share, 2, 1, 'QUD', 'Utilities', 54.0, 0.011, 0.5, 180_000],
            ['GORSE.Q', 'Gorse Hill Power', InstrumentKind::Share, 2, 1, 'QUD', 'Utilities', 24.6, 0.014, 0.6, 330_000],
            ['PINE.Q', 'Pinewright Timber', InstrumentKind::Share, 2, 1, 'QUD', 'Materials', 31.0, 0.017, 1.1, 210_000],
            ['SILT.Q', 'Silt and Sons Dredging', InstrumentKind::Share, 2, 1, 'QUD', 'Materials', 17.4, 0.021, 1.2, 290_000],
            ['RAMP.Q', 'Rampion Loaders', InstrumentKind::Share, 2, 5, 'QUD', 'Machines', 79.0, 0.018, 1.3, 150_000],
            ['OAKL.Q', 'Oaklight Optics', InstrumentKind::Share, 2, 1, 'QUD', 'Machines', 58.0, 0.020, 1.2, 260_000],
            ['MOSS.Q', 'Mossgrove Biologics', InstrumentKind::Share, 2, 1, 'QUD', 'Health', 8.1, 0.031, 0.9, 610_000],
            ['HEATH.Q', 'Heathcombe Stores', InstrumentKind::Share, 2, 1, 'QUD', 'Retail', 21.3, 0.016, 0.9, 270_000],
            ['GRIT.Q', 'Gritwell Minerals', InstrumentKind::Share, 4, 1, 'QUD', 'Materials', 0.0231, 0.028, 0.5, 18_400_000],
            ['SKDO.Q', 'Skerry against Dory', InstrumentKind::Pair, 4, 1, 'DOR', 'Currencies', 0.6421, 0.005, 0.1, 1_250_000],
            ['BRNZ.Q', 'Bronze, first contract', InstrumentKind::Future, 1, 5, 'QUD', 'Metals', 2_410.0, 0.013, 0.4, 64_000],
            ['LANT.Q', 'Lantern coin', InstrumentKind::Coin, 0, 1, 'QUD', 'Digital coins', 21_400.0, 0.024, 0.5, 8_200],
        ];
        $listings = [];
        foreach ($rows as [$symbol, $name, $kind, $decimals, $tick, $currency, $group, $price, $move, $beta, $volume]) {
            $listings[$symbol] = new Listing(
                new Instrument($symbol, $name, $kind, new PriceGrid($decimals, $tick), $currency, $group),
                $price,
                $move,
                $beta,
                $volume,
            );
        }

        return $listings;
    }
}
