<?php

namespace App\Console\Commands;

use App\Models\User;
use Database\Seeders\DemoSeeder;
use Illuminate\Console\Command;

/** Loads the made-up demo town into an empty database; leaves one alone that holds people already. */
final class DemoCommand extends Command
{
    protected $signature = 'metrum:demo {--sign-in : only print the demo sign-in}';

    protected $description = 'Load the demo town of Tarnevik';

    public function handle(DemoSeeder $seeder): int
    {
        if ((bool) $this->option('sign-in')) {
            $known = User::query()->where('email', DemoSeeder::EMAIL)->exists();
            $this->line(
                $known
                    ? '  Sign in  '.DemoSeeder::EMAIL.'   '.DemoSeeder::PASSWORD
                    : '  No demo sign-in: this database has its own users.',
            );

            return self::SUCCESS;
        }
        if (User::query()->exists()) {
            $this->line('• keeping existing data');

            return self::SUCCESS;
        }
        $this->line('• the demo town of Tarnevik');
        $seeder->run();

        return self::SUCCESS;
    }
}
