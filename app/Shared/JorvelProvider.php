<?php

declare(strict_types=1);

namespace App\Shared;

use App\Now\LoadAircraft;
use App\Shared\Http\Intention;
use App\Shared\Http\QuietSessions;
use Illuminate\Cache\RateLimiting\Limit;
use Illuminate\Database\Connection;
use Illuminate\Database\Eloquent\Model as Eloquent;
use Illuminate\Database\Events\QueryExecuted;
use Illuminate\Database\Events\TransactionCommitted;
use Illuminate\Database\Events\TransactionCommitting;
use Illuminate\Database\Events\TransactionRolledBack;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\Event;
use Illuminate\Support\Facades\Gate;
use Illuminate\Support\Facades\RateLimiter;
use Illuminate\Support\Facades\Route;
use Illuminate\Support\Facades\Session;
use Illuminate\Support\ServiceProvider;

/** Wires what is common to all rooms. */
final class JorvelProvider extends ServiceProvider
{
    public function register(): void
    {
        $this->app->scoped(Clock::class);
        $this->app->scoped(Memo::class);
        $this->app->scoped(LoadAircraft::class);
        $this->app->scoped(Records::class);
        $this->app->scoped(Intention::class);
        Connection::resolverFor(
            'sqlite',
            static fn(mixed ...$given): SqliteConnection => new SqliteConnection(...$given),
        );
    }

    public function boot(): void
    {
        Eloquent::preventLazyLoading(config('app.env') !== 'production');
        // A model's policy stands in the same room: App\Visits\Model\Visit has App\Visits\Http\VisitPolicy.
        Gate::guessPolicyNamesUsing(
            static fn(string $model): string => str_replace('\\Model\\', '\\Http\\', $model).'Policy',
        );
        // Within a transaction nobody else writes records; one inside another is no end of it.
        Event::listen(
            TransactionCommitted::class,
            fn(TransactionCommitted $e) => $e->connection->transactionLevel() > 0
                ? null
                : $this->app->make(Records::class)->ended(),
        );
        Event::listen(TransactionRolledBack::class, fn() => $this->app->make(Records::class)->ended());
        Event::listen(QueryExecuted::class, fn(QueryExecuted $q) => $this->app->make(Memo::class)->heard($q->sql));
        Event::listen(TransactionRolledBack::class, fn() => $this->app->make(Memo::class)->forget());
        Event::listen(
            TransactionCommitting::class,
            fn() => $this->app->make(Intention::class)->committing((string) $this->app->make(Clock::class)->now()),
        );
        Session::extend(
            'quiet',
            static fn($app): QuietSessions => new QuietSessions(
                $app['db']->connection(),
                (string) config('session.table'),
                (int) config('session.lifetime'),
                $app,
            ),
        );
        // What is no number of a row is no address at all.
        Route::pattern('id', '[0-9]{1,18}');
        Route::pattern('card', '[0-9]{1,18}');
        Route::pattern('no', '[0-9]{1,6}');
        Route::pattern('wait', '[0-9]{1,18}');
        Route::pattern('from', '[0-9]{1,6}');
        Route::pattern('to', '[0-9]{1,6}');
        RateLimiter::for('instruments', static fn(Request $r): Limit => Limit::perMinute(1200)->by((string) $r->ip()));
        RateLimiter::for('sign-in', static fn(Request $r): array => [
            Limit::perMinute(8)->by('login:'.mb_strtolower(
                is_string($r->input('login')) ? $r->input('login') : '',
            ).'|'.$r->ip()),
            Limit::perMinute(60)->by('ip:'.$r->ip()),
        ]);
        foreach (['compute', 'sign'] as $what) {
            RateLimiter::for($what, static fn(Request $r): Limit
                => Limit::perMinute((int) config("jorvel.{$what}_a_minute"))
                    ->by("{$what}:{$r->user()?->getAuthIdentifier()}"));
        }
    }
}
