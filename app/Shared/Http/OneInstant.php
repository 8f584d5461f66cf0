<?php

declare(strict_types=1);

namespace App\Shared\Http;

use App\Shared\Clock;
use Closure;
use Illuminate\Http\Request;
use Symfony\Component\HttpFoundation\Response;

/** One request, one instant: what it decides, what it writes and what the record says of it bear the same time, however long it takes. */
final readonly class OneInstant
{
    public function __construct(private Clock $clock) {}

    public function handle(Request $request, Closure $next): Response
    {
        return $this->clock->still($this->clock->now(), static fn(): Response => $next($request));
    }
}
