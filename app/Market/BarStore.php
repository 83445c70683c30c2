<?php

declare(strict_types=1);

namespace App\Market;

use Illuminate\Database\Connection;
use Watchpost\Core\Market\Bar;
use Watchpost\Core\Market\TimeFrame;

/**
 * Writes bars in bulk. A bar that is there already stays as it is.
 *
 * The statement is compiled by the query builder, for whatever database is configured, and prepared once for many
 * rows: building it anew from an array per row would cost more than the writing.
 */
final class BarStore
{
    private const ROWS_PER_STATEMENT = 200;
    private const COLUMNS = ['instrument_id', 'timeframe', 'starts_at', 'ends_at', 'session', 'open', 'high', 'low', 'close', 'volume', 'extended'];

    public function __construct(private readonly Connection $db)
    {
    }

    /**
     * @param list<Bar> $bars
     * @param bool      $extended of the hours around the session
     *
     * @return int how many were not there yet
     */
    public function add(int $instrumentId, TimeFrame $timeFrame, array $bars, bool $extended = false): int
    {
        $added = 0;
        $whole = null;
        foreach (array_chunk($bars, self::ROWS_PER_STATEMENT) as $chunk) {
            $isWhole = count($chunk) === self::ROWS_PER_STATEMENT;
            $statement = $isWhole ? $whole ??= $this->statement(self::ROWS_PER_STATEMENT) : $this->statement(count($chunk));
            $values = [];
            foreach ($chunk as $bar) {
                array_push($values, $instrumentId, $timeFrame->value, $bar->start, $bar->end, $bar->session, $bar->open, $bar->high, $bar->low, $bar->close, $bar->volume, (int) $extended);
            }
            $statement->execute($values);
            $added += $statement->rowCount();
        }

        return $added;
    }

    private function statement(int $rows): \PDOStatement
    {
        $query = $this->db->table('bars');
        $row = array_fill_keys(self::COLUMNS, 0);

        return $this->db->getPdo()->prepare($query->getGrammar()->compileInsertOrIgnore($query, array_fill(0, $rows, $row)));
    }
}
