<?php

namespace App\Providers;

use App\Models\User;
use App\Records\Edition;
use App\Records\PatientSessions;
use App\Records\SqliteDoor;
use App\Records\TurnTaking;
use App\Records\TwinShelf;
use App\View\OnPicture;
use App\View\PageReader;
use App\View\Translated;
use Illuminate\Database\Connection;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Filesystem\Filesystem;
use Illuminate\Foundation\Events\DiagnosingHealth;
use Illuminate\Support\Facades\Blade;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Event;
use Illuminate\Support\Facades\Gate;
use Illuminate\Support\Facades\Session;
use Illuminate\Support\ServiceProvider;
use Metrum\Data\Knowledge;
use Metrum\Data\Prepared;
use Metrum\Twin\Shelf;
use Metrum\Twin\Twins;
use Metrum\Work\RackVerdicts;

final class MetrumServiceProvider extends ServiceProvider
{
    public function register(): void
    {
        $this->app->singleton(
            Edition::class,
            fn (): Edition => new Edition(
                $this->app->basePath(),
                $this->app->storagePath('framework/edition'),
                ! $this->app->environment('production'),
            ),
        );
        $this->app->bind('db.connector.sqlite', SqliteDoor::class);
        Connection::resolverFor('sqlite', static fn (mixed ...$of): TurnTaking => new TurnTaking(...$of));
        $this->app->bind(Shelf::class, TwinShelf::class);
        $this->app->singleton(Twins::class);
        $this->app->scoped(RackVerdicts::class);
    }

    public function boot(): void
    {
        if (! $this->app->environment('testing')) {
            $prepared = new Prepared(fn (): string => $this->app->make(Edition::class)->folder());
            Knowledge::use(new Knowledge($this->app->basePath('data'), $prepared));
        }
        Session::extend('file', fn (): PatientSessions => new PatientSessions(
            $this->app->make(Filesystem::class),
            config('session.files'),
            config('session.lifetime'),
        ));
        $this->app->terminating(fn () => $this->app->make(Twins::class)->keep());
        Blade::prepareStringsForCompilationUsing(Translated::of(...));
        $reader = '\\'.PageReader::class;
        Blade::directive('told', static fn (string $of): string => "<?php echo e($reader::told($of)); ?>");
        $picture = '\\'.OnPicture::class;
        Blade::directive('drawn', static fn (string $of): string => "<?php echo e($picture::told($of)); ?>");
        Model::preventLazyLoading(! $this->app->environment('production'));
        Model::preventSilentlyDiscardingAttributes();
        Event::listen(DiagnosingHealth::class, static fn () => DB::table('users')->exists());
        Gate::define('change-house-rules', static fn (User $user): bool => $user->isLead());
    }
}
