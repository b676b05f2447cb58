<?php

namespace App\Console\Commands;

use App\Records\Edition;
use Illuminate\Console\Command;
use Illuminate\Filesystem\Filesystem;

/** Writes down which twin and which weights these files make, so that no request has to read them all. */
final class EditionCommand extends Command
{
    protected $signature = 'metrum:edition';

    protected $description = 'Record the version of twin and weights';

    public function handle(Edition $edition, Filesystem $files): int
    {
        $edition->write($files);

        return self::SUCCESS;
    }
}
