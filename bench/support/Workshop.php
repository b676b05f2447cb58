<?php

/** A database with the demo town, 500 circuits, 5 000 visits and 100 000 facts more; thrown away at the end. */
final class Workshop
{
    private const CIRCUITS = 500;

    private const VISITS_EACH = 9;

    private const LONG_VISITS = 500;

    /** @var array<string, string> */
    public readonly array $environment;

    private readonly string $work;

    private PDO $pdo;

    private int $facts = 0;

    /** Of the room that the others are copies of. */
    private string $plant = '';

    /** @var array<string, string> by circuit */
    private array $plants = [];

    public function __construct(private readonly string $root)
    {
        $this->work = sys_get_temp_dir().'/metrum-bench-'.getmypid();
        mkdir($this->work.'/framework/cache', 0o777, true);
        mkdir($this->work.'/framework/sessions');
        mkdir($this->work.'/framework/views');
        $this->environment = [
            'DB_CONNECTION' => 'sqlite',
            'DB_DATABASE' => $this->work.'/workshop.sqlite',
            'LARAVEL_STORAGE_PATH' => $this->work,
            // As it is run: elsewhere every answer looks first whether a file was edited.
            'APP_ENV' => 'production',
            'APP_DEBUG' => 'false',
        ] + getenv();
        touch($this->environment['DB_DATABASE']);
        register_shutdown_function(fn () => $this->run('rm -rf '.escapeshellarg($this->work)));
    }

    public function fill(): void
    {
        $this->run('php artisan metrum:edition');
        $this->run('php artisan migrate --force --quiet');
        $this->run('php artisan metrum:demo');
        $this->pdo = new PDO('sqlite:'.$this->environment['DB_DATABASE']);
        $this->pdo->exec('begin');
        $room = $this->row("select * from parts where name = 'Cold room 2'");
        $this->plant = $room['plant_id'];
        $model = $this->row("select * from occasions where circuit_id = '{$room['id']}' limit 1");
        $verdict = $this->row('select * from verdicts where needs_a_look limit 1');
        for ($i = 0; $i < self::LONG_VISITS; $i++) {
            $this->visit($model, $verdict, 400 + $i, 200);
        }
        for ($i = 0; $i < self::CIRCUITS; $i++) {
            $circuit = sprintf('01BENCHC%018d', $i);
            $this->circuit($circuit, "Room $i", $room);
            for ($visit = 0; $visit < self::VISITS_EACH; $visit++) {
                $this->visit(['circuit_id' => $circuit] + $model, $verdict, 30 + $i + 40 * $visit, 4);
            }
        }
        $this->pdo->exec('commit');
    }

    /**
     * A circuit that was visited every ninth day, as its last visit of the demo town was, and is being visited now.
     *
     * @param  int  $each  facts a visit
     * @return array{string, string} the circuit, and its open visit
     */
    public function aged(string $name, int $visits, int $each): array
    {
        $room = $this->row("select * from parts where name = 'Cold room 2'");
        $model = $this->row(
            "select * from occasions where circuit_id = '{$room['id']}' order by opened_at desc limit 1",
        );
        $told = $this->pdo
            ->query("select * from facts where occasion_id = '{$model['id']}' and kind != 'undo' order by seq")
            ->fetchAll(PDO::FETCH_ASSOC);
        $circuit = sprintf('01BENCHA%018d', $visits);
        $this->pdo->exec('begin');
        $plant = $this->circuit($circuit, $name, $room);
        for ($visit = $visits - 1; $visit >= 0; $visit--) {
            $at = date('Y-m-d H:i:s', time() - 9 * 86400 * $visit);
            $id = sprintf('01BENCHB%09d%09d', $visits, $visit);
            $isOpen = $visit === 0;
            $this->insert('occasions', [
                'id' => $id,
                'circuit_id' => $circuit,
                'opened_at' => $at,
                'closed_at' => $isOpen ? null : $at,
                'ran_well_at' => ! $isOpen && $visit % 7 === 3 ? $at : null,
                'told' => null,
            ] + $model);
            $count = $isOpen ? count($told) : $each;
            for ($i = 0; $i < $count; $i++) {
                $moves = ! $isOpen && $visit % 3 === 0 && $i === intdiv($count, 2);
                $this->insert('facts', [
                    'seq' => null,
                    'id' => sprintf('01BENCHG%018d', $this->facts++),
                    'occasion_id' => $id,
                    'plant_id' => $plant,
                    'taken_at' => $at,
                ] + ($moves ? ['kind' => 'move', 'key' => 'valve_turn', 'value' => 0.25, 'word' => null] : [])
                    + $told[$i % count($told)]);
            }
        }
        $this->pdo->exec('commit');

        return [$circuit, sprintf('01BENCHB%09d%09d', $visits, 0)];
    }

    /** What the visits that were not judged came to, as when they were closed. */
    public function judge(): void
    {
        $this->run('php artisan metrum:verdicts --missing');
        $this->pdo->exec('analyze');
        $this->pdo->exec('pragma wal_checkpoint(truncate)');
    }

    public function size(): string
    {
        $count = fn (string $table): int => (int) $this->pdo->query("select count(*) from $table")->fetchColumn();

        return "{$count('parts')} circuits, {$count('occasions')} visits, {$count('facts')} facts in the database";
    }

    public function emptyCaches(): void
    {
        $this->run('rm -rf '.escapeshellarg($this->work.'/framework/cache').'/*');
    }

    /**
     * A circuit as another one, with a plant of its own.
     *
     * @param  array<string, mixed>  $room
     * @return string its plant
     */
    private function circuit(string $id, string $name, array $room): string
    {
        $plant = 'P'.substr($id, 1);
        $this->insert('plants', ['id' => $plant] + $this->row("select * from plants where id = '{$room['plant_id']}'"));
        $this->insert('parts', ['id' => $id, 'name' => $name, 'plant_id' => $plant] + $room);

        return $this->plants[$id] = $plant;
    }

    /**
     * A closed visit so many days ago.
     *
     * @param  array<string, mixed>  $model
     * @param  array<string, mixed>  $verdict
     */
    private function visit(array $model, array $verdict, int $daysAgo, int $facts): void
    {
        static $visits = 0;
        $at = date('Y-m-d H:i:s', time() - 86400 * $daysAgo);
        $id = sprintf('01BENCHV%018d', $visits++);
        $this->insert('occasions', ['id' => $id, 'opened_at' => $at, 'closed_at' => $at] + $model);
        $this->insert('verdicts', ['visit_id' => $id, 'worked_at' => $at] + $verdict);
        $keys = [
            'box_temperature_c',
            'ambient_temperature_c',
            'suction_temperature_evaporator_c',
            'supply_air_temperature_c',
        ];
        for ($i = 0; $i < $facts; $i++) {
            $this->insert('facts', [
                'id' => sprintf('01BENCHF%018d', $this->facts++),
                'occasion_id' => $id,
                'plant_id' => $this->plants[$model['circuit_id']] ?? $this->plant,
                'user_id' => $model['user_id'],
                'kind' => 'reading',
                'part' => 'circuit 1',
                'key' => $keys[$i % 4],
                'value' => 275.0 + $i % 7,
                'data' => '{"typed":"4","unit":"c"}',
                'source' => 'hand',
                'taken_at' => $at,
                'created_at' => $at,
            ]);
        }
    }

    /** @param  array<string, mixed>  $row */
    private function insert(string $table, array $row): void
    {
        static $statements = [];
        $columns = array_keys($row);
        $marks = implode(', ', array_fill(0, count($row), '?'));
        $into = $table.' ("'.implode('", "', $columns).'")';
        $statements[$into] ??= $this->pdo->prepare("insert into $into values ($marks)");
        $statements[$into]->execute(array_values($row));
    }

    /** @return array<string, mixed> */
    private function row(string $query): array
    {
        return $this->pdo->query($query)->fetch(PDO::FETCH_ASSOC);
    }

    private function run(string $command): void
    {
        $pipes = [];
        $process = proc_open(
            $command,
            [1 => ['file', '/dev/null', 'w'], 2 => STDERR],
            $pipes,
            $this->root,
            $this->environment,
        );
        if (proc_close($process) !== 0) {
            exit(1);
        }
    }
}
