<?php

namespace App\Records;

use Illuminate\Database\Connectors\SQLiteConnector;

/**
 * Opens the logbook's file; where the disk is full or was mounted for reading alone, for reading.
 *
 * A database that several write to keeps two files beside it, and cannot be opened where those cannot be made. Then
 * nobody else has it open either, and it is read as it stands; who writes is told so by the database (code 8).
 */
final class SqliteDoor extends SQLiteConnector
{
    /** Of SQLite: read-only, input or output failed, disk full, cannot be opened. */
    private const CANNOT_BE_WRITTEN = [8, 10, 13, 14];

    /** @param  array<string, mixed>  $config */
    public function connect(array $config): \PDO
    {
        try {
            $connection = parent::connect($config);
            // Opened in earnest only with the first question.
            $connection->exec('select 1 from sqlite_master');

            return $connection;
        } catch (\PDOException $refusal) {
            $path = $this->parseDatabasePath((string) $config['database']);
            if (! in_array($refusal->errorInfo[1] ?? null, self::CANNOT_BE_WRITTEN, true) || ! is_readable($path)) {
                throw $refusal;
            }

            return $this->forReading($path, $config);
        }
    }

    /** @param  array<string, mixed>  $config */
    private function forReading(string $path, array $config): \PDO
    {
        $file = 'sqlite:file:'.implode('/', array_map(rawurlencode(...), explode('/', $path)));

        return $this->createConnection($file.'?immutable=1', $config, $this->getOptions($config));
    }
}
