<?php

namespace App\Console\Commands;

use App\Models\Visit;
use App\Records\Edition;
use App\Records\Judge;
use Illuminate\Console\Command;
use Illuminate\Database\Eloquent\Builder;
use Illuminate\Support\Collection;
use Metrum\Twin\Twins;

/** Works verdicts of visits anew: those that have none or an older edition's, or all. Can be stopped and run again. */
final class VerdictsCommand extends Command
{
    private const STEP = 50;

    protected $signature = 'metrum:verdicts
        {--missing : only visits without a diagnosis}
        {--all : every visit, whatever version calculated it}';

    protected $description = 'Recalculate diagnoses after an update';

    public function handle(Judge $judge, Edition $edition, Twins $twins): int
    {
        $wanted = $this->wanted($edition);
        $count = $wanted->count();
        if ($count === 0) {
            return self::SUCCESS;
        }
        $bar = $this->output->createProgressBar($count);
        $wanted
            ->with('circuit.site', 'circuit.plant')
            ->chunkById(self::STEP, function (Collection $visits) use ($judge, $twins, $bar): void {
                foreach ($visits as $visit) {
                    $judge->again($visit);
                    $bar->advance();
                }
                $twins->keep();
            });
        $bar->finish();
        $this->newLine();

        return self::SUCCESS;
    }

    /** @return Builder<Visit> */
    private function wanted(Edition $edition): Builder
    {
        $query = Visit::query();
        if ((bool) $this->option('all')) {
            return $query;
        }
        $missing = (bool) $this->option('missing');

        return $query->whereDoesntHave(
            'verdict',
            static fn (Builder $kept): Builder => $missing
                ? $kept
                : $kept->where('edition', $edition->verdicts()),
        );
    }
}
