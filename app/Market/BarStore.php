<?php

declare(strict_types=1);

namespace App\Market;

use Illuminate\Database\ConnectionInterface;
use Watchpost\Core\Market\Bar;
use Watchpost\Core\Market\TimeFrame;

/** Writes bars in bulk. A bar that is there already stays as it is. */
final readonly class BarStore
{
    private const ROWS_PER_STATEMENT = 2_000;

    public function __construct(private ConnectionInterface $db)
    {
    }

    /** @param list<Bar> $bars */
    public function add(int $instrumentId, TimeFrame $timeFrame, array $bars): void
    {
        foreach (array_chunk($bars, self::ROWS_PER_STATEMENT) as $chunk) {
            $this->db->table('bars')->insertOrIgnore(array_map(static fn (Bar $bar): array => [
                'instrument_id' => $instrumentId,
                'timeframe' => $timeFrame->value,
                'starts_at' => $bar->start,
                'ends_at' => $bar->end,
                'session' => $bar->session,
                'open' => $bar->open,
                'high' => $bar->high,
                'low' => $bar->low,
                'close' => $bar->close,
                'volume' => $bar->volume,
            ], $chunk));
        }
    }
}
