<?php

declare(strict_types=1);

namespace App\Shared\Http;

use Closure;
use Illuminate\Http\Request;
use Symfony\Component\HttpFoundation\Response;

/**
 * Answers what was carried out before as it was answered then. It stands before whatever counts requests, so that
 * nobody is told that something is refused which is done; and it begins no intention, so that what counts commits none.
 */
final readonly class Again
{
    public function handle(Request $request, Closure $next): Response
    {
        return Sent::of($request)?->answer() ?? $next($request);
    }
}
