<?php

declare(strict_types=1);

namespace App\Shared;

use Illuminate\Database\SQLiteConnection as Base;

/**
 * SQLite with transactions that take the write lock when they begin.
 *
 * A transaction that reads first and writes later is refused at once when another has written in between, whatever the
 * busy timeout; one that begins with a write waits its turn. PHP below 8.4 has no way to ask for that, so the first
 * statement of every transaction is a write that changes nothing.
 */
final class SqliteConnection extends Base
{
    protected function executeBeginTransactionStatement(): void
    {
        $this->getPdo()->beginTransaction();
        $this->getPdo()->exec('PRAGMA user_version = 0');
    }
}
