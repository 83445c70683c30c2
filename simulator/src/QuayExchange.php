<?php

declare(strict_types=1);

namespace Watchpost\Simulator;

use Watchpost\Core\Market\ContractTerms;
use Watchpost\Core\Market\ExchangeCalendar;
use Watchpost\Core\Market\FundTerms;
use Watchpost\Core\Market\Instrument;
use Watchpost\Core\Market\InstrumentKind;
use Watchpost\Core\Market\PriceGrid;

/** The Quay Exchange of a made-up coast and the markets beside it: their hours, their holidays and what is traded. */
final class QuayExchange
{
    public const HOME = 'QUAY';

    /** The first session of the history. */
    public const FIRST_DATE = '2014-10-14';

    private const CURRENCY = 'QUD';

    /** Symbol: name, group, price, move of its own, volume, market beta, group beta. */
    public const SHARES = [
        'BRKF.Q' => ['Brackfen Foods', 'Food and drink', 36.5, 0.011, 240_000, 0.7, 0.8],
        'KELP.Q' => ['Kelp and Lantern', 'Food and drink', 11.2, 0.016, 520_000, 0.8, 1.0],
        'SALT.Q' => ['Saltmarsh Bakers', 'Food and drink', 68.0, 0.012, 95_000, 0.6, 0.9],
        'HONY.Q' => ['Honeydown Dairies', 'Food and drink', 4.35, 0.019, 780_000, 0.8, 1.1],
        'TARN.Q' => ['Tarn Water Works', 'Utilities', 54.0, 0.009, 180_000, 0.5, 0.9],
        'GORSE.Q' => ['Gorse Hill Power', 'Utilities', 24.6, 0.012, 330_000, 0.6, 1.0],
        'WEIR.Q' => ['Weirside Gas', 'Utilities', 88.4, 0.011, 120_000, 0.6, 1.1],
        'EDDY.Q' => ['Eddyfirth Tidal', 'Utilities', 15.9, 0.017, 260_000, 0.8, 1.2],
        'PINE.Q' => ['Pinewright Timber', 'Materials', 31.0, 0.014, 210_000, 1.1, 1.0],
        'SILT.Q' => ['Silt and Sons Dredging', 'Materials', 17.4, 0.018, 290_000, 1.2, 1.1],
        'GRIT.Q' => ['Gritwell Minerals', 'Materials', 0.0231, 0.027, 18_400_000, 0.5, 0.8],
        'SLAT.Q' => ['Slatebank Quarries', 'Materials', 142.5, 0.013, 64_000, 1.0, 0.9],
        'RAMP.Q' => ['Rampion Loaders', 'Machines', 79.0, 0.015, 150_000, 1.3, 1.0],
        'OAKL.Q' => ['Oaklight Optics', 'Machines', 58.0, 0.017, 260_000, 1.2, 1.1],
        'COGS.Q' => ['Coggeshore Gears', 'Machines', 212.4, 0.013, 48_000, 1.1, 0.9],
        'WNCH.Q' => ['Winchgarth Cranes', 'Machines', 9.7, 0.020, 410_000, 1.3, 1.2],
        'MOSS.Q' => ['Mossgrove Biologics', 'Health', 8.1, 0.028, 610_000, 0.9, 1.0],
        'FERN.Q' => ['Fernlea Clinics', 'Health', 47.2, 0.012, 140_000, 0.7, 0.8],
        'BALM.Q' => ['Balmwick Remedies', 'Health', 26.8, 0.016, 230_000, 0.8, 1.0],
        'PEBL.Q' => ['Pebblehythe Diagnostics', 'Health', 0.0874, 0.031, 9_300_000, 0.8, 0.7],
        'HEATH.Q' => ['Heathcombe Stores', 'Retail', 21.3, 0.013, 270_000, 0.9, 1.0],
        'WOOL.Q' => ['Woolcote Outfitters', 'Retail', 33.6, 0.011, 160_000, 0.3, 0.2],
        'LOOM.Q' => ['Loomgate Textiles', 'Retail', 6.15, 0.020, 540_000, 1.0, 1.1],
        'THIM.Q' => ['Thimble Row Trading', 'Retail', 12.9, 0.016, 1_500, 0.5, 0.5],
        'MOOR.Q' => ['Moorings Bank', 'Finance', 63.7, 0.011, 380_000, 1.1, 1.1],
        'TDHM.Q' => ['Tideholm Assurance', 'Finance', 95.1, 0.010, 150_000, 0.9, 0.9],
        'STLR.Q' => ['Stellarby Trust', 'Finance', 18.2, 0.016, 310_000, 1.2, 1.2],
        'WIDE.Q' => ['Wideacre Estates', 'Finance', 5.4, 0.014, 36_000, 0.7, 0.6],
        'DORY.Q' => ['Doryline Ferries', 'Ships and ports', 22.0, 0.026, 880_000, 1.1, 1.0],
        'ANCH.Q' => ['Anchorhead Freight', 'Ships and ports', 41.0, 0.018, 240_000, 1.2, 1.1],
        'BUOY.Q' => ['Buoywright Marine', 'Ships and ports', 13.3, 0.017, 350_000, 1.0, 1.2],
        'JETY.Q' => ['Jettisham Ports', 'Ships and ports', 76.9, 0.012, 110_000, 0.9, 1.0],
    ];

    /** Group: symbol of its fund, sector. */
    public const GROUPS = [
        'Food and drink' => ['QFD.Q', 'Consumer'],
        'Utilities' => ['QUT.Q', 'Supply'],
        'Materials' => ['QMT.Q', 'Industry'],
        'Machines' => ['QMC.Q', 'Industry'],
        'Health' => ['QHL.Q', 'Health'],
        'Retail' => ['QRT.Q', 'Consumer'],
        'Finance' => ['QFN.Q', 'Finance'],
        'Ships and ports' => ['QSP.Q', 'Transport'],
    ];

    /** Symbol: name, group, price, decimals, tick, point value, move, volume, carry, nature. */
    private const FUTURES = [
        'BRNZ.Q' => ['Bronze', 'Metals', 2_410.0, 1, 5, '50', 0.011, 64_000, 0.035, Nature::Goods],
        'BARL.Q' => ['Barley', 'Crops', 318.0, 2, 25, '100', 0.014, 41_000, 0.05, Nature::Goods],
        'NRDF.Q' => ['North Quay 40 future', 'Index futures', 16_200.0, 0, 5, '5', 0.0008, 96_000, 0.025, Nature::Index],
    ];

    private const CONTRACTS = [[2026, 12], [2027, 3]];

    public static function calendar(): ExchangeCalendar
    {
        return self::exchanges()[self::HOME];
    }

    /** @return array<string, ExchangeCalendar> by code */
    public static function exchanges(): array
    {
        $zone = new \DateTimeZone('Atlantic/Faroe');
        $holidays = $halfDays = [];
        foreach (range(2014, 2030) as $year) {
            $holidays["{$year}-01-01"] = 'New Year';
            $holidays["{$year}-03-19"] = 'Spring Tide';
            $holidays["{$year}-05-01"] = 'May Day';
            $holidays["{$year}-06-24"] = 'Midsummer';
            $holidays["{$year}-10-19"] = 'Lamplighters\' Day';
            $holidays["{$year}-12-25"] = 'Christmas';
            $halfDays["{$year}-12-24"] = '13:00';
        }
        $wholeDays = array_filter($holidays, static fn (string $name): bool => $name === 'New Year' || $name === 'Christmas');

        return [
            self::HOME => new ExchangeCalendar('Quay Exchange', $zone, '09:30', '16:00', $holidays, $halfDays, extendedOpen: '08:00', extendedClose: '18:00', code: self::HOME),
            'QFUT' => new ExchangeCalendar('Quay Futures', $zone, '18:30', '17:30', $wholeDays, opensDayBefore: true, code: 'QFUT'),
            'PIER' => new ExchangeCalendar('Pier Currency Market', $zone, '22:00', '22:00', $wholeDays, opensDayBefore: true, code: 'PIER'),
            'OPEN' => new ExchangeCalendar('Open Sea Coin Market', new \DateTimeZone('UTC'), '00:00', '24:00', [], [], [1, 2, 3, 4, 5, 6, 7], code: 'OPEN'),
        ];
    }

    /** @return array<string, Listing> by symbol */
    public static function listings(): array
    {
        $listings = [];
        foreach ([...self::indexes(), ...self::shares(), ...self::funds(), ...self::pairs(), ...self::futures(), ...self::others()] as $listing) {
            $listings[$listing->instrument->symbol] = $listing;
        }

        return $listings;
    }

    /**
     * The dates of a continuous series on which it went over to the next contract.
     *
     * @return list<array{session: string, from: string, to: string}> symbols of the contracts
     */
    public static function rolls(string $series, string $from, string $to): array
    {
        $rolls = [];
        $before = null;
        foreach (self::exchanges()['QFUT']->between($from, $to) as $session) {
            $contract = self::contractSymbol($series, Contracts::inFront($session->date));
            if ($before !== null && $contract !== $before) {
                $rolls[] = ['session' => $session->date, 'from' => $before, 'to' => $contract];
            }
            $before = $contract;
        }

        return $rolls;
    }

    /** @return list<Listing> */
    private static function shares(): array
    {
        $special = [
            'GRIT.Q' => ['labels' => ['priced below 0.10']],
            'PEBL.Q' => ['labels' => ['priced below 0.10']],
            'MOSS.Q' => ['labels' => ['may offer new shares at any time']],
            'THIM.Q' => ['labels' => ['thin: few trades in a session'], 'tradeShare' => 0.14],
            'WIDE.Q' => ['labels' => ['wide spread'], 'spread' => 0.016],
            'DORY.Q' => ['labels' => ['listed for a few weeks only'], 'listedOn' => '2026-09-03'],
            'WOOL.Q' => ['story' => ['2025-12-01' => Phase::Calm]],
            'ANCH.Q' => ['story' => ['2026-08-05' => Phase::Runaway]],
            'RAMP.Q' => ['tick' => 5],
        ];
        $listings = [];
        foreach (self::SHARES as $symbol => [$name, $group, $price, $move, $volume, $beta, $groupBeta]) {
            $own = $special[$symbol] ?? [];
            $listings[] = new Listing(
                new Instrument(
                    $symbol,
                    $name,
                    InstrumentKind::Share,
                    new PriceGrid($price < 1 ? 4 : 2, $own['tick'] ?? 1),
                    self::CURRENCY,
                    $group,
                    self::HOME,
                    self::GROUPS[$group][1],
                    benchmark: 'NORD.Q',
                    listedOn: $own['listedOn'] ?? null,
                    labels: $own['labels'] ?? [],
                ),
                Nature::Share,
                $price,
                $move,
                $volume,
                $beta,
                $groupBeta,
                $own['tradeShare'] ?? 1.0,
                $own['spread'] ?? 0.0,
                $own['story'] ?? [],
            );
        }

        return $listings;
    }

    /** @return list<Listing> */
    private static function indexes(): array
    {
        $listing = static fn (string $symbol, string $name, float $price, float $own, float $beta): Listing => new Listing(
            new Instrument($symbol, $name, InstrumentKind::Index, new PriceGrid(1), self::CURRENCY, 'Indexes', self::HOME),
            Nature::Index,
            $price,
            $own,
            0,
            $beta,
        );

        return [
            $listing('NORD.Q', 'North Quay 40', 16_200.0, 0.0006, 1.0),
            $listing('HAVN.Q', 'Haven Small 100', 4_120.0, 0.0032, 1.15),
            $listing('COST.Q', 'Coast All Shares', 9_840.0, 0.0010, 0.97),
        ];
    }

    /** @return list<Listing> */
    private static function funds(): array
    {
        $listing = static fn (string $symbol, string $name, string $group, FundTerms $terms, float $price, float $beta, float $groupBeta, int $volume): Listing => new Listing(
            new Instrument(
                $symbol,
                $name,
                InstrumentKind::Fund,
                new PriceGrid(2),
                self::CURRENCY,
                $group,
                self::HOME,
                self::GROUPS[$group][1] ?? '',
                benchmark: 'NORD.Q',
                fund: $terms,
                labels: abs($terms->multiple) > 1 ? ['moves by a multiple; resets every session'] : [],
            ),
            Nature::Tracker,
            $price,
            0.0012,
            $volume,
            $beta,
            $groupBeta,
        );
        $listings = [];
        foreach (array_keys(self::GROUPS) as $i => $group) {
            $listings[] = $listing(self::GROUPS[$group][0], "Quay {$group} Fund", $group, new FundTerms(''), 24.0 + 7 * $i, 0.9, 1.0, 120_000 + 20_000 * $i);
        }

        return [
            ...$listings,
            $listing('MIRR.Q', 'Mirror North Quay Fund', 'Funds', new FundTerms('NORD.Q', -1), 41.0, 1.0, 0.0, 310_000),
            $listing('TWIN.Q', 'Twin North Quay Fund', 'Funds', new FundTerms('NORD.Q', 2), 67.0, 1.0, 0.0, 450_000),
            $listing('MIR2.Q', 'Twin Mirror North Quay Fund', 'Funds', new FundTerms('NORD.Q', -2), 18.0, 1.0, 0.0, 520_000),
        ];
    }

    /** @return list<Listing> */
    private static function pairs(): array
    {
        $listing = static fn (string $symbol, string $name, string $sides, float $price, int $decimals, int $pip, float $move): Listing => new Listing(
            new Instrument($symbol, $name, InstrumentKind::Pair, new PriceGrid($decimals), substr($sides, 4), 'Currencies', 'PIER', $sides, 1_000, pip: $pip),
            Nature::Pair,
            $price,
            $move,
            1_250_000,
        );

        return [
            $listing('SKDO.Q', 'Skerry against Dory', 'SKE/DOR', 0.6421, 5, 10, 0.004),
            $listing('QUSK.Q', 'Quay dollar against Skerry', 'QUD/SKE', 131.40, 3, 10, 0.004),
            $listing('QUDO.Q', 'Quay dollar against Dory', 'QUD/DOR', 84.37, 3, 10, 0.004),
            $listing('FLQU.Q', 'Florin against Quay dollar', 'FLO/QUD', 1.2084, 5, 10, 0.004),
        ];
    }

    /** @return list<Listing> a series and its contracts for each */
    private static function futures(): array
    {
        $listings = [];
        foreach (self::FUTURES as $series => [$name, $group, $price, $decimals, $tick, $pointValue, $move, $volume, $carry, $nature]) {
            $contracts = array_map(static fn (array $month): Contracts => Contracts::of(...$month), self::CONTRACTS);
            foreach ([null, ...$contracts] as $i => $contract) {
                $listings[] = new Listing(
                    new Instrument(
                        $contract === null ? $series : self::contractSymbol($series, $contract),
                        $contract === null ? "{$name}, continuous" : $name.' '.(new \DateTimeImmutable($contract->lastSession))->format('M Y'),
                        InstrumentKind::Future,
                        new PriceGrid($decimals, $tick),
                        self::CURRENCY,
                        $group,
                        'QFUT',
                        pointValue: $pointValue,
                        listedOn: $contract?->listedOn(),
                        contract: $contract === null ? null : new ContractTerms($series, $contract->lastSession),
                    ),
                    $nature,
                    $price,
                    $move,
                    (int) ($volume / max(1, $i)),
                    $nature === Nature::Index ? 1.0 : 0.1,
                    carry: $carry,
                );
            }
        }

        return $listings;
    }

    /** @return list<Listing> */
    private static function others(): array
    {
        return [
            new Listing(new Instrument('LANT.Q', 'Lantern coin', InstrumentKind::Coin, new PriceGrid(0), self::CURRENCY, 'Digital coins', 'OPEN'), Nature::Goods, 21_400.0, 0.024, 8_200, 0.3),
            new Listing(new Instrument('SWEL.Q', 'Swell volatility gauge', InstrumentKind::Series, new PriceGrid(2), '', 'Gauges', self::HOME), Nature::Gauge, 15.0, 0.04, 0),
            new Listing(new Instrument('HBTY.Q', 'Harbour bond yield, ten years', InstrumentKind::Series, new PriceGrid(3), '%', 'Yields', self::HOME), Nature::Yield, 3.12, 0.012, 0),
        ];
    }

    private static function contractSymbol(string $series, Contracts $contract): string
    {
        return str_replace('.Q', "-{$contract->code}.Q", $series);
    }
}
