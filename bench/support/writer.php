<?php

// Writes facts, each confirmed on its own, and prints the id of each once it is: until it is killed, or for some
// seconds at the pace of many people.
//   php bench/support/writer.php DATABASE VISIT NUMBER [SECONDS]

[, $file, $visit, $number] = $argv;
$end = isset($argv[4]) ? microtime(true) + (float) $argv[4] : INF;
$pdo = new PDO('sqlite:'.$file, null, null, [PDO::ATTR_ERRMODE => PDO::ERRMODE_EXCEPTION, PDO::ATTR_TIMEOUT => 10]);
$of = $pdo->query("select plant_id, occasions.user_id, part from occasions
    join parts on parts.id = circuit_id where occasions.id = '$visit'")->fetch(PDO::FETCH_ASSOC);
$insert = $pdo->prepare(
    'insert into facts
    (id, occasion_id, plant_id, user_id, kind, part, key, value, data, source, taken_at, created_at)
    values (?, ?, ?, ?, \'reading\', ?, \'box_temperature_c\', 277.15, \'{}\', \'hand\', ?, ?)',
);
for ($i = 0; microtime(true) < $end; $i++) {
    $id = sprintf('%013d%013d', $number, $i);
    $now = date('Y-m-d H:i:s');
    $insert->execute([$id, $visit, $of['plant_id'], $of['user_id'], $of['part'], $now, $now]);
    echo $id, "\n";
    if (is_finite($end)) {
        usleep(4000);
    }
}
