<?php

namespace App\Providers;

use App\Records\Edition;
use App\Records\TwinShelf;
use Illuminate\Cache\RateLimiting\Limit;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\RateLimiter;
use Illuminate\Support\ServiceProvider;
use Metrum\Plant\Shelf;
use Metrum\Plant\Twins;
use Metrum\Quantity\Prepared;

final class MetrumServiceProvider extends ServiceProvider
{
    private const TRIES_A_MINUTE = 6;

    public function register(): void
    {
        $this->app->singleton(
            Edition::class,
            fn (): Edition => new Edition($this->app->basePath(), $this->app->storagePath('framework/edition')),
        );
        $this->app->bind(Shelf::class, TwinShelf::class);
        $this->app->singleton(Twins::class);
    }

    public function boot(): void
    {
        if (! $this->app->environment('testing')) {
            Prepared::keepIn(fn (): string => $this->app->make(Edition::class)->folder());
        }
        $this->app->terminating(fn () => $this->app->make(Twins::class)->keep());
        Model::preventLazyLoading(! $this->app->environment('production'));
        Model::preventSilentlyDiscardingAttributes();
        RateLimiter::for(
            'sign-in',
            static fn (Request $request): Limit => Limit::perMinute(self::TRIES_A_MINUTE)->by(
                mb_strtolower((string) $request->string('email')).'|'.$request->ip(),
            ),
        );
    }
}
