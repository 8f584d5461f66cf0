<?php

declare(strict_types=1);

namespace App\Shared\Http;

use Illuminate\Http\Middleware\TrustProxies;

/**
 * Whose word counts for where a request came from, and that it came encrypted: nobody's, unless JORVEL_PROXIES names
 * their addresses.
 */
final class Proxies extends TrustProxies
{
    /** @return list<string>|null */
    protected function proxies(): ?array
    {
        $named = array_values(array_filter(array_map(trim(...), explode(',', (string) config('jorvel.proxies')))));

        return $named === [] ? null : $named;
    }
}
