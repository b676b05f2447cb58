<?php

namespace App\Records;

use Illuminate\Database\Connection;
use Illuminate\Database\SQLiteConnection;

/**
 * Whole copies of the logbook, taken and brought back while others go on working (SQLite).
 *
 * A copy is made by the database itself at one moment, so it holds all that was confirmed before and nothing by halves.
 * Bringing one back is one transaction: others see all of what was, or all of what is.
 */
final readonly class Backup
{
    /** Tables that are of this machine, not of the logbook. */
    private const OWN = ['migrations', 'sqlite_sequence', 'sessions', 'cache', 'cache_locks'];

    private function __construct(private Connection $connection)
    {
    }

    /** @throws BackupFailed where the database in use is none of this kind */
    public static function of(Connection $connection): self
    {
        return $connection->getDriverName() === 'sqlite'
            ? new self($connection)
            : throw BackupFailed::because(
                'The database in use is '.
                    $connection->getDriverName().
                    '; its own tools back it up (pg_dump, pg_restore).',
            );
    }

    /**
     * Writes a checked copy.
     *
     * @return array<string, int> rows by table
     *
     * @throws BackupFailed
     */
    public function to(string $file): array
    {
        if (file_exists($file)) {
            throw BackupFailed::because("$file exists already; nothing was written.");
        }
        $folder = dirname($file);
        if (! is_dir($folder) || ! is_writable($folder)) {
            throw BackupFailed::because("$folder is not a writable folder.");
        }
        $unfinished = $file.'.part';
        @unlink($unfinished);
        try {
            $this->connection->statement('vacuum into ?', [$unfinished]);
            $rows = self::checked($unfinished);
        } catch (\Throwable $reason) {
            @unlink($unfinished);
            throw $reason instanceof BackupFailed
                ? $reason
                : BackupFailed::because('The backup could not be written: '.$reason->getMessage());
        }
        rename($unfinished, $file);

        return $rows;
    }

    /**
     * Brings a copy back in one transaction.
     *
     * @return array<string, int> rows by table
     *
     * @throws BackupFailed
     */
    public function from(string $file): array
    {
        $rows = self::checked($file);
        $copy = self::opened($file);
        $ours = self::migrations($this->connection);
        $theirs = self::migrations($copy);
        if ($theirs !== $ours) {
            throw BackupFailed::because(
                array_diff($theirs, $ours) !== []
                    ? 'The backup is from a newer version of Metrum; update this one first.'
                    : 'The backup is from an older version of Metrum. Restore it with that version, then update.',
            );
        }
        unset($copy);
        $pdo = $this->connection->getPdo();
        $pdo->exec('attach database '.$pdo->quote($file).' as brought_back');
        try {
            $pdo->exec('begin immediate');
            $pdo->exec('pragma defer_foreign_keys = on');
            foreach (array_keys($rows) as $table) {
                $pdo->exec("delete from main.\"$table\"");
            }
            foreach (array_keys($rows) as $table) {
                $columns = self::columns($this->connection, $table);
                $pdo->exec(
                    "insert into main.\"$table\" ($columns) select $columns from brought_back.\"$table\"",
                );
            }
            $pdo->exec('commit');
        } catch (\PDOException $reason) {
            $pdo->exec('rollback');
            throw BackupFailed::because('Nothing was changed: '.$reason->getMessage());
        } finally {
            $pdo->exec('detach database brought_back');
        }

        return $rows;
    }

    /**
     * @return array<string, int> rows by table of a copy that is whole
     *
     * @throws BackupFailed
     */
    private static function checked(string $file): array
    {
        if (! is_file($file) || filesize($file) === 0) {
            throw BackupFailed::because("$file not a backup: file missing or empty");
        }
        try {
            $copy = self::opened($file);
            $said = (string) $copy->scalar('pragma integrity_check');
            $tables = self::tables($copy);
            $rows = [];
            foreach ($tables as $table) {
                $rows[$table] = $copy->table($table)->count();
            }
        } catch (\PDOException $reason) {
            throw BackupFailed::because("$file is not a readable backup: ".$reason->getMessage());
        }
        if ($said !== 'ok') {
            throw BackupFailed::because("$file is damaged: $said");
        }
        if (! isset($rows['facts'], $rows['users'])) {
            throw BackupFailed::because("$file is not a backup of Metrum.");
        }

        return $rows;
    }

    private static function opened(string $file): Connection
    {
        return new SQLiteConnection(
            new \PDO('sqlite:'.$file, null, null, [
                \PDO::ATTR_ERRMODE => \PDO::ERRMODE_EXCEPTION,
                \PDO::SQLITE_ATTR_OPEN_FLAGS => \PDO::SQLITE_OPEN_READONLY,
            ]),
        );
    }

    /** @return list<string> */
    private static function tables(Connection $connection): array
    {
        $names = $connection->table('sqlite_master')->where('type', 'table')->orderBy('name')->pluck('name');

        return array_values(array_diff($names->all(), self::OWN));
    }

    /** Columns of a table, quoted, as a list for SQL. */
    private static function columns(Connection $connection, string $table): string
    {
        $names = $connection->getSchemaBuilder()->getColumnListing($table);

        return implode(', ', array_map(static fn (string $one): string => "\"$one\"", $names));
    }

    /** @return array<int, string> */
    private static function migrations(Connection $connection): array
    {
        return $connection->table('migrations')->orderBy('migration')->pluck('migration')->all();
    }
}
