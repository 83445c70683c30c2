<?php

declare(strict_types=1);

return [
    // The exchange whose sessions plans are for, by its code.
    'home_exchange' => env('WATCHPOST_HOME_EXCHANGE', 'QUAY'),

    // Where bars come from: "simulator", the made-up market, or "folder", files dropped into the folder below.
    'feed' => env('WATCHPOST_FEED', 'simulator'),
    'feed_folder' => env('WATCHPOST_FEED_FOLDER', storage_path('app/private/feed')),

    // Where webhooks go: "sink", a page of this application that stands in for their addresses, or "http".
    'webhooks' => env('WATCHPOST_WEBHOOKS', 'sink'),

    // "stored": the clock stands until the market is played forward; "system": the time of this machine.
    'clock' => env('WATCHPOST_CLOCK', 'stored'),

    // The made-up market that ships with the application.
    'simulator' => [
        'seed' => env('WATCHPOST_SEED', 'harbour'),
        'first_date' => env('WATCHPOST_FIRST_DATE', '2014-10-14'),
        // Before this date only day bars are kept; from it on, bars of five minutes.
        'fine_sessions' => 60,
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

    // The step Market: gauges and averages that ship as an editable start.
    'market' => [
        'gauges' => ['NORD.Q', 'HAVN.Q', 'COST.Q', 'SWEL.Q', 'HBTY.Q', 'QUDO.Q', 'BRNZ.Q'],
        'order' => [
            ['kind' => 'ema', 'period' => 10],
            ['kind' => 'sma', 'period' => 20],
            ['kind' => 'sma', 'period' => 50],
            ['kind' => 'sma', 'period' => 200],
        ],
    ],

    // Symbols that readers ask for.
    'requests' => [
        'most_waiting' => 3,
    ],

    // The chart of the main screen.
    'chart' => [
        'bars' => 520,
        'averages' => [
            ['kind' => 'ema', 'period' => 20],
            ['kind' => 'sma', 'period' => 50],
        ],
        'atr_period' => 14,
    ],
];
