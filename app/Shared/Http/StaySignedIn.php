<?php

declare(strict_types=1);

namespace App\Shared\Http;

use Closure;
use Illuminate\Http\Request;
use Symfony\Component\HttpFoundation\Cookie;
use Symfony\Component\HttpFoundation\Response;

/**
 * A refusal for want of a sign-in leaves the session that the browser has: one that was on its way while somebody
 * signed in would put their old session in place of the new one, and sign them out. Whoever has none is given one to
 * sign in with.
 */
final class StaySignedIn
{
    public function handle(Request $request, Closure $next): Response
    {
        $session = (string) config('session.cookie');
        $has = $request->cookies->has($session);
        $response = $next($request);
        if ($has && $response->getStatusCode() === Response::HTTP_UNAUTHORIZED) {
            $sets = array_filter(
                $response->headers->getCookies(),
                static fn(Cookie $c): bool => $c->getName() === $session,
            );
            array_map(
                static fn(Cookie $c) => $response->headers->removeCookie($c->getName(), $c->getPath(), $c->getDomain()),
                $sets,
            );
        }

        return $response;
    }
}
