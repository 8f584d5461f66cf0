<?php

declare(strict_types=1);

namespace App\Shared;

use Illuminate\Cache\RateLimiting\Limit;
use Illuminate\Database\Connection;
use Illuminate\Database\Eloquent\Model as Eloquent;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\Gate;
use Illuminate\Support\Facades\RateLimiter;
use Illuminate\Support\ServiceProvider;

/** Wires what is common to all rooms. */
final class JorvelProvider extends ServiceProvider
{
    public function register(): void
    {
        $this->app->scoped(Clock::class);
        Connection::resolverFor('sqlite', static fn(mixed ...$given): SqliteConnection => new SqliteConnection(...$given));
    }

    public function boot(): void
    {
        Eloquent::preventLazyLoading(config('app.env') !== 'production');
        // A model's policy stands in the same room: App\Visits\Model\Visit has App\Visits\Http\VisitPolicy.
        Gate::guessPolicyNamesUsing(static fn(string $model): string => str_replace('\\Model\\', '\\Http\\', $model).'Policy');
        RateLimiter::for('sign-in', static fn(Request $r): array => [
            Limit::perMinute(8)->by('login:'.mb_strtolower((string) $r->input('login')).'|'.$r->ip()),
            Limit::perMinute(60)->by('ip:'.$r->ip()),
        ]);
        RateLimiter::for('sign', static fn(Request $r): Limit => Limit::perMinute(20)->by('sign:'.$r->user()?->getAuthIdentifier()));
    }
}
