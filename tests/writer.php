<?php

// Writes facts into a database file for some seconds, each confirmed on its own, and prints how many.
//   php tests/writer.php DATABASE VISIT SECONDS

[, $file, $visit, $seconds] = $argv;
$pdo = new PDO('sqlite:'.$file, null, null, [
    PDO::ATTR_ERRMODE => PDO::ERRMODE_EXCEPTION,
    PDO::ATTR_TIMEOUT => 5,
]);
$of = $pdo->query("select circuit_id, user_id from visits where id = '$visit'")->fetch(PDO::FETCH_ASSOC);
$insert = $pdo->prepare(
    'insert into facts
    (id, visit_id, circuit_id, user_id, kind, subject, key, value, data, source, taken_at, created_at)
    values (?, ?, ?, ?, \'reading\', \'\', \'box_temperature_c\', 277.15, \'{}\', \'hand\', ?, ?)',
);
$end = microtime(true) + (float) $seconds;
$written = 0;
while (microtime(true) < $end) {
    $now = date('Y-m-d H:i:s');
    $insert->execute([sprintf('%026d', $written), $visit, $of['circuit_id'], $of['user_id'], $now, $now]);
    $written++;
    usleep(4000);
}
echo $written;
