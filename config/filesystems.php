<?php

// No file is served or taken by the framework's own route.
return [
    'default' => 'local',
    // Where photos and voice notes lie: any disk named below, one machine's or an object store's.
    'attachments' => env('ATTACHMENTS_DISK', 'local'),
    'disks' => [
        'local' => ['driver' => 'local', 'root' => storage_path('app/private'), 'serve' => false, 'throw' => true],
    ],
];
