<?php

declare(strict_types=1);

namespace App\Shared\Http;

use Closure;
use Illuminate\Http\Request;
use Symfony\Component\HttpFoundation\Cookie;
use Symfony\Component\HttpFoundation\Response;

/**
 * A refusal for want of a sign-in sets no cookie: one that was on its way while somebody signed in would put their old session in
 * place of the new one, and sign them out.
 */
final class StaySignedIn
{
    public function handle(Request $request, Closure $next): Response
    {
        $response = $next($request);
        if ($response->getStatusCode() === Response::HTTP_UNAUTHORIZED) {
            array_map(static fn(Cookie $c) => $response->headers->removeCookie($c->getName(), $c->getPath(), $c->getDomain()), $response->headers->getCookies());
        }

        return $response;
    }
}
