<?php

declare(strict_types=1);

namespace App\Clock;

use Illuminate\Database\ConnectionInterface;

/** The clock of the made-up market: it stands still until the market is played forward. */
final readonly class StoredMarketClock implements MarketClock
{
    private const ROW = 1;

    public function __construct(private ConnectionInterface $db)
    {
    }

    public function moment(): int
    {
        $now = $this->db->table('market_clock')->where('id', self::ROW)->value('now');
        if (! is_numeric($now)) {
            throw new \RuntimeException('The market clock is not set: run bin/demo or php artisan watchpost:demo.');
        }

        return (int) $now;
    }

    public function moveTo(int $moment): void
    {
        $table = $this->db->table('market_clock');
        if ($table->where('id', self::ROW)->exists() && $moment < $this->moment()) {
            throw new \LogicException('The market clock does not run backward.');
        }
        $this->db->table('market_clock')->updateOrInsert(['id' => self::ROW], ['now' => $moment]);
    }
}
