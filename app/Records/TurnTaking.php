<?php

namespace App\Records;

use Illuminate\Database\SQLiteConnection;

/**
 * SQLite whose transactions take the lock for writing as they begin, and wait for it there. One that began with reading
 * would be turned away at its first write, without any wait, where somebody else has written since.
 */
final class TurnTaking extends SQLiteConnection
{
    /** Marks the file as Metrum's; saying so is a write that needs no table. */
    private const FIRST_WRITE = 'pragma application_id = 1299477613';

    /** @throws \PDOException where the lock did not come free in time; then nothing is begun */
    protected function executeBeginTransactionStatement(): void
    {
        parent::executeBeginTransactionStatement();
        $pdo = $this->getPdo();
        try {
            $pdo->exec(self::FIRST_WRITE);
        } catch (\PDOException $refusal) {
            $pdo->rollBack();
            throw $refusal;
        }
    }
}
