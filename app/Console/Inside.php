<?php

declare(strict_types=1);

namespace App\Console;

use App\Crew\Model\Person;
use Illuminate\Contracts\Http\Kernel;
use Illuminate\Http\Request;
use Laravel\Sanctum\Sanctum;
use Symfony\Component\HttpFoundation\Response;

/** Asks the application itself, as somebody, without a server between. */
final readonly class Inside
{
    /** Whoever is asked for from now on. */
    public static function as(string $login): void
    {
        app()->forgetScopedInstances();
        app('auth')->forgetGuards();
        Sanctum::actingAs(Person::with('qualifications')->where('login', $login)->firstOrFail());
    }

    /**
     * @param string $path under /api
     * @param array<string, mixed> $body
     * @param string $key of the intention; a new one where empty
     */
    public static function ask(string $method, string $path, array $body = [], string $key = ''): Response
    {
        return app(Kernel::class)->handle(Request::create("/api/{$path}", $method, [], [], [], [
            'HTTP_ACCEPT' => 'application/json', 'CONTENT_TYPE' => 'application/json',
            'HTTP_IDEMPOTENCY_KEY' => $key === '' ? bin2hex(random_bytes(8)) : $key,
        ], $method === 'GET' ? null : (string) json_encode((object) $body)));
    }
}
