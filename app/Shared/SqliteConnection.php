<?php

declare(strict_types=1);

namespace App\Shared;

use Illuminate\Database\SQLiteConnection as Base;
use PDOException;

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
        $pdo = $this->getPdo();
        $pdo->beginTransaction();
        try {
            $pdo->exec('PRAGMA user_version = 0');
        } catch (PDOException $e) {
            // Another is writing: what was begun is ended again, or nothing could be begun on this connection any more.
            $pdo->rollBack();
            throw $e;
        }
    }

    /**
     * With no room left on the disk SQLite has taken everything back by itself, and PDO does not know: what it
     * then says of a transaction that is not there would hide the reason.
     *
     * @param int $toLevel
     */
    protected function performRollBack($toLevel): void
    {
        try {
            parent::performRollBack($toLevel);
        } catch (PDOException $e) {
            if (preg_match('/no transaction is active|no such savepoint/', $e->getMessage()) !== 1) {
                throw $e;
            }
            if ($toLevel === 0) {
                $this->getPdo()->exec('BEGIN');
                $this->getPdo()->rollBack();
            }
        }
    }
}
