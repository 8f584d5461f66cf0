<?php

declare(strict_types=1);

namespace App\Shared\Http;

use App\Shared\Clock;
use App\Shared\Memo;
use Closure;
use Illuminate\Http\Request;
use Symfony\Component\HttpFoundation\Response;

/**
 * One request, one instant: what it decides, what it writes and what the record says of it bear the same time, however
 * long it takes. What was remembered for another is forgotten.
 */
final readonly class OneInstant
{
    public function __construct(private Clock $clock, private Memo $memo) {}

    public function handle(Request $request, Closure $next): Response
    {
        $this->memo->forget();

        return $this->clock->still($this->clock->now(), static fn(): Response => $next($request));
    }
}
