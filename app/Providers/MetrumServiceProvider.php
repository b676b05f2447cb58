<?php

namespace App\Providers;

use App\Records\Twins;
use Illuminate\Cache\RateLimiting\Limit;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\RateLimiter;
use Illuminate\Support\ServiceProvider;

final class MetrumServiceProvider extends ServiceProvider
{
    public function register(): void
    {
        $this->app->singleton(Twins::class);
    }

    public function boot(): void
    {
        $this->app->terminating(fn () => $this->app->make(Twins::class)->keep());
        Model::preventLazyLoading(! $this->app->environment('production'));
        Model::preventSilentlyDiscardingAttributes();
        RateLimiter::for(
            'sign-in',
            static fn (Request $request): Limit => Limit::perMinute(6)->by(
                mb_strtolower((string) $request->string('email')).'|'.$request->ip(),
            ),
        );
    }
}
