<?php

declare(strict_types=1);

namespace App\Crew\Http;

use App\Crew\Model\Person;
use App\Shared\Clock;
use Closure;
use Illuminate\Auth\AuthenticationException;
use Illuminate\Http\Request;
use Symfony\Component\HttpFoundation\Response;

/** Whoever has left is let in no more, whatever they are still signed in with. */
final readonly class StillHere
{
    public function __construct(private Clock $clock) {}

    public function handle(Request $request, Closure $next): Response
    {
        $person = $request->user();
        if ($person instanceof Person && $person->goneOn($this->clock->today())) {
            throw new AuthenticationException;
        }

        return $next($request);
    }
}
