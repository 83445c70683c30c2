<?php

declare(strict_types=1);

namespace App\Market;

use App\Models\Instrument;
use Illuminate\Database\ConnectionInterface;
use Watchpost\Core\Market\Fact;
use Watchpost\Core\Market\MarketEvent;
use Watchpost\Core\Market\Split;

/** Writes what is known of instruments beside their bars. What is there already stays as it is. */
final readonly class ReferenceStore
{
    private const ROWS_PER_STATEMENT = 500;

    public function __construct(private ConnectionInterface $db)
    {
    }

    /** @param list<Split> $splits */
    public function splits(Instrument $instrument, array $splits): int
    {
        return $this->insert('splits', array_map(static fn (Split $split): array => [
            'instrument_id' => $instrument->id,
            'session' => $split->session,
            'ratio' => (string) $split->ratio,
        ], $splits));
    }

    /** @param list<array{session: string, from: string, to: string}> $rolls symbols of contracts */
    public function rolls(Instrument $instrument, array $rolls): int
    {
        return $this->insert('rolls', array_map(static fn (array $roll): array => ['instrument_id' => $instrument->id, ...$roll], $rolls));
    }

    /** @param list<Fact> $facts */
    public function facts(Instrument $instrument, array $facts): int
    {
        return $this->insert('facts', array_map(static fn (Fact $fact): array => [
            'instrument_id' => $instrument->id,
            'kind' => $fact->kind->value,
            'date' => $fact->date,
            'of' => $fact->of,
            'value' => $fact->value,
            'source' => $fact->source,
        ], $facts));
    }

    /**
     * @param list<MarketEvent>            $events
     * @param callable(MarketEvent): int   $announcedAt moment from which it is known, 0 for always
     * @param array<string, int>           $ids         of instruments by symbol
     */
    public function events(array $events, callable $announcedAt, array $ids): int
    {
        return $this->insert('market_events', array_map(static fn (MarketEvent $event): array => [
            'key' => self::key($event),
            'instrument_id' => $event->symbol === null ? null : $ids[$event->symbol],
            'date' => $event->date,
            'kind' => $event->kind->value,
            'title' => $event->title,
            'side' => $event->side?->value,
            'time' => $event->time,
            'source' => $event->source,
            'announced_at' => $announcedAt($event),
        ], $events));
    }

    /** The same event has the same key, whatever its source or time of day. */
    public static function key(MarketEvent $event): string
    {
        return hash('sha256', implode("\n", [$event->symbol ?? '', $event->date, $event->kind->value, mb_strtolower($event->title)]));
    }

    /** @param list<array<string, mixed>> $rows */
    private function insert(string $table, array $rows): int
    {
        $added = 0;
        foreach (array_chunk($rows, self::ROWS_PER_STATEMENT) as $chunk) {
            $added += $this->db->table($table)->insertOrIgnore($chunk);
        }

        return $added;
    }
}
