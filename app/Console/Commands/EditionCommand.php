<?php

namespace App\Console\Commands;

use App\Records\Edition;
use Illuminate\Console\Command;

/** Writes down which twin and which weights these files make, so that no request has to read them all. */
final class EditionCommand extends Command
{
    protected $signature = 'metrum:edition';

    protected $description = 'Note the edition of twin and weights';

    public function handle(Edition $edition): int
    {
        $edition->write();

        return self::SUCCESS;
    }
}
