<?php

declare(strict_types=1);

use App\Shared\Http\Again;
use App\Shared\Http\Failures;
use App\Shared\Http\Once;
use App\Shared\Http\OneInstant;
use App\Shared\Http\PlainInput;
use App\Shared\Http\Proxies;
use App\Shared\Http\SafeHeaders;
use App\Shared\Http\StaySignedIn;
use Illuminate\Foundation\Application;
use Illuminate\Foundation\Configuration\Exceptions;
use Illuminate\Foundation\Configuration\Middleware;
use Illuminate\Http\Middleware\HandleCors;
use Illuminate\Http\Middleware\TrustProxies;
use Illuminate\Routing\Middleware\ThrottleRequests;

return Application::configure(basePath: dirname(__DIR__))
    ->withRouting(
        web: __DIR__.'/../routes/web.php',
        api: __DIR__.'/../routes/api.php',
    )
    ->withCommands([__DIR__.'/../app/Console'])
    ->withMiddleware(function (Middleware $middleware): void {
        $middleware->remove([HandleCors::class]);
        $middleware->replace(TrustProxies::class, Proxies::class);
        $middleware->append([OneInstant::class, SafeHeaders::class, StaySignedIn::class, PlainInput::class]);
        $middleware->statefulApi();
        $middleware->group('once', [Again::class, Once::class]);
        // What was carried out is told so, however often somebody signed since.
        $middleware->prependToPriorityList(ThrottleRequests::class, Again::class);
        $middleware->redirectGuestsTo(static fn(): string => '/');
    })
    ->withExceptions(static fn(Exceptions $exceptions) => Failures::register($exceptions))
    ->create();
