<?php

declare(strict_types=1);

namespace App\Support;

use Illuminate\Database\SQLiteConnection;

/**
 * Begins every transaction as one that writes. A transaction that begins by reading cannot become one that writes once
 * someone else has written meanwhile: SQLite refuses that at once, whatever the busy timeout. Laravel asks for this by the
 * mode of the connection, but only from PHP 8.4 on.
 */
final class ImmediateSqliteConnection extends SQLiteConnection
{
    private const NO_SUCH_TABLE = 'no such table';

    protected function executeBeginTransactionStatement(): void
    {
        parent::executeBeginTransactionStatement();
        if (version_compare(PHP_VERSION, '8.4.0', '<')) {
            try {
                // changes nothing, and waits until it could
                $this->getPdo()->exec('delete from sqlite_sequence where 0');
            } catch (\PDOException $fault) {
                $this->getPdo()->rollBack();
                if (! str_contains($fault->getMessage(), self::NO_SUCH_TABLE)) {
                    throw $fault;
                }
                // an empty database has nothing to be kept apart yet
                parent::executeBeginTransactionStatement();
            }
        }
    }
}
