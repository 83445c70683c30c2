<?php

declare(strict_types=1);

return [
    // The made-up market that ships with the application.
    'simulator' => [
        'seed' => env('WATCHPOST_SEED', 'harbour'),
        // Before this date only day bars are kept; from it on, bars of five minutes.
        'fine_sessions' => 20,
    ],

    // The evening on which the demo begins, in UTC, and the evening of the edition published before it.
    'demo' => [
        'evening' => '2026-10-14T18:00:00Z',
        'earlier_evening' => '2026-10-06T18:00:00Z',
    ],

    // What every setup of the record is charged. The same for all, and stated on the record.
    'costs' => [
        'slippage_ticks' => 0,
        'commission_per_unit' => '0',
    ],

    // The chart of the main screen.
    'chart' => [
        'bars' => 260,
        'averages' => [
            ['kind' => 'ema', 'period' => 20],
            ['kind' => 'sma', 'period' => 50],
        ],
        'atr_period' => 14,
    ],
];
