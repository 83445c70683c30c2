<?php

declare(strict_types=1);

namespace App\Import;

use App\Enums\ImportKind;

/** The fields that a file of a kind can have, and the names by which their columns are recognised. */
final class Fields
{
    private const BARS = [
        'symbol' => ['symbol', 'instrument', 'code'],
        'timeframe' => ['timeframe', 'interval', 'period'],
        'date' => ['date', 'datetime', 'timestamp', 'start', 'session', 'datum'],
        'time' => ['time', 'zeit'],
        'open' => ['open', 'o'],
        'high' => ['high', 'h'],
        'low' => ['low', 'l'],
        'close' => ['close', 'c', 'last', 'settle'],
        'volume' => ['volume', 'vol', 'v'],
        'change' => ['change'],
    ];
    private const INSTRUMENTS = [
        'symbol' => ['symbol', 'instrument', 'code'], 'name' => ['name'], 'kind' => ['kind', 'type'], 'decimals' => ['decimals'], 'tick' => ['tick', 'ticksize'],
        'currency' => ['currency'], 'group' => ['group'], 'exchange' => ['exchange'], 'sector' => ['sector'], 'lot' => ['lot'], 'point_value' => ['pointvalue'],
        'pip' => ['pip'], 'benchmark' => ['benchmark'], 'listed_on' => ['listedon', 'listed'], 'tracks' => ['tracks'], 'multiple' => ['multiple'],
        'series' => ['series'], 'last_session' => ['lastsession', 'expiry'], 'labels' => ['labels'],
    ];
    private const EVENTS = [
        'date' => ['date'], 'kind' => ['kind', 'type'], 'title' => ['title', 'event', 'name'], 'symbol' => ['symbol', 'instrument'],
        'side' => ['side', 'when'], 'time' => ['time'], 'source' => ['source'],
    ];
    private const NEEDED = [
        'bars' => ['date', 'open', 'high', 'low', 'close'],
        'instruments' => ['symbol', 'name', 'kind', 'decimals', 'currency', 'group'],
        'events' => ['date', 'kind', 'title'],
    ];

    /** @return array<string, list<string>> names of columns by field, in lower case without signs */
    public static function of(ImportKind $kind): array
    {
        return match ($kind) {
            ImportKind::Bars => self::BARS,
            ImportKind::Instruments => self::INSTRUMENTS,
            ImportKind::Events => self::EVENTS,
        };
    }

    public static function isNeeded(ImportKind $kind, string $field): bool
    {
        return in_array($field, self::NEEDED[$kind->value], true);
    }

    /** @return list<string> */
    public static function missing(ImportKind $kind, Mapping $mapping): array
    {
        $missing = array_values(array_filter(self::NEEDED[$kind->value], static fn (string $field): bool => ! $mapping->has($field)));

        return $kind === ImportKind::Bars && ! $mapping->has('symbol') && $mapping->symbol === '' ? ['symbol', ...$missing] : $missing;
    }
}
