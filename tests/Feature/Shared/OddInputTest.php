<?php

declare(strict_types=1);

namespace Tests\Feature\Shared;

use App\Floor\Model\Card;
use Illuminate\Routing\Route as Registered;
use Illuminate\Support\Facades\Route;
use PHPUnit\Framework\Attributes\DataProvider;
use Tests\Feature\WorldCase;

/**
 * Whatever is sent to whichever address: an answer that says what is wrong, never a failure, and never the framework's
 * own classes.
 */
final class OddInputTest extends WorldCase
{
    private const ADDRESSES = [
        '1', 'abc', '0', '-1', '1%00', '9223372036854775808', '%FF', '1 or 1=1', '%E2%80%AE', 'QA-VFC', '1.5',
    ];

    /** @return iterable<string, array{string}> */
    public static function methods(): iterable
    {
        yield 'reading' => ['GET'];
        yield 'sending' => ['POST'];
    }

    #[DataProvider('methods')]
    public function test_odd_addresses_and_bodies_are_answered_in_words(string $method): void
    {
        $asked = 0;
        foreach (self::routes($method) as $uri) {
            foreach (self::ADDRESSES as $n => $odd) {
                $path = (string) preg_replace('/\{\w+\}/', $odd, $uri);
                if ($path === $uri && $n > 0 && $method === 'GET') {
                    break;
                }
                $bodies = $method === 'GET' ? self::queries() : array_slice(self::bodies(), $n % 4, 3);
                foreach ($bodies as $body) {
                    $this->ask($method, $path, $body);
                    $asked++;
                }
            }
        }
        self::assertGreaterThan(200, $asked);
    }

    /** @param array<string, mixed>|string $body */
    private function ask(string $method, string $path, array|string $body): void
    {
        if ($method === 'GET') {
            $path .= is_string($body) ? $body : '';
            $response = $this->actingAs($this->person('ines'))->get("/{$path}", ['Accept' => 'application/json']);
        } else {
            $response = is_string($body)
                ? $this->actingAs($this->person('ines'))->call(
                    'POST',
                    "/{$path}",
                    [],
                    [],
                    [],
                    ['HTTP_ACCEPT' => 'application/json', 'CONTENT_TYPE' => 'application/json'],
                    $body,
                )
                : $this->actingAs($this->person('ines'))->json('POST', "/{$path}", $body);
        }
        $said = "{$method} {$path} ".json_encode($body).': '.$response->getStatusCode().' '
            .substr((string) $response->getContent(), 0, 400);
        self::assertLessThan(500, $response->getStatusCode(), $said);
        if ($response->getStatusCode() >= 400) {
            self::assertDoesNotMatchRegularExpression(
                '/App\\\\|Illuminate|No query results|SQLSTATE|Undefined|to string conversion'
                    .'| field | is invalid|validation\.|The selected |more errors?\)/',
                (string) $response->getContent(),
                $said,
            );
        }
    }

    /** @return list<string> */
    private static function queries(): array
    {
        return [
            '', '?date=9999-12-31&days=-1', '?base=%FF&shift=%FF&date=x', '?days[]=1&mark[]=2&find[]=3',
            '?type=none&phases=99999&role=perform&find=%25',
        ];
    }

    /** @return list<array<string, mixed>|string> */
    private static function bodies(): array
    {
        $keys = [
            'version', 'do', 'entry', 'entries', 'tool', 'note', 'point', 'stamp', 'pin', 'login', 'password', 'mark',
            'items', 'into', 'days', 'start', 'end', 'title', 'bay', 'person', 'role', 'changes', 'what', 'quantity',
            'date', 'name', 'kind', 'payload', 'place', 'extent', 'counted', 'said', 'text', 'section', 'skill',
            'hours', 'counters', 'why', 'places', 'covers', 'spot', 'readings', 'pressure', 'value',
        ];

        return [
            [], array_fill_keys($keys, []), array_fill_keys($keys, ['a' => ['b' => 1]]),
            array_fill_keys($keys, str_repeat('9', 400)), array_fill_keys($keys, "nul\0"), array_fill_keys($keys, true),
            '{"version":', "{\"note\":\"\xFF\"}",
        ];
    }

    /** @return list<string> */
    private static function routes(string $method): array
    {
        return collect(Route::getRoutes()->getRoutes())->filter(
            static fn(Registered $r): bool
                    => in_array($method, $r->methods(), true) && str_starts_with($r->uri(), 'api/')
                        && $r->uri() !== 'api/sign-out',
        )->map(static fn(Registered $r): string => $r->uri())->unique()->values()->all();
    }

    public function test_what_is_missing_is_said_to_a_person(): void
    {
        foreach ([
            'cards/999999', 'visits/0', 'tools/none', 'fleet/QZ-1', 'findings/abc', 'library/manuals/none', 'photos/99',
            'people/2x',
        ] as $path) {
            $said = (string) $this->as('mika', 'GET', $path)->assertNotFound()->json('message');
            self::assertStringStartsWith('Not found', $said, $path);
        }
        $card = Card::firstOrFail();
        self::assertStringContainsString(
            'must be text',
            (string) $this->as('mika', 'POST', "cards/{$card->id}/steps/1/preview", ['point' => []])->assertStatus(422)
                ->json('message'),
        );
        self::assertStringContainsString(
            'note: contains characters',
            (string) $this->as('oda', 'POST', "cards/{$card->id}/steps/1", ['note' => "a\0b"])->assertStatus(422)
                ->json('message'),
        );
        $this->postJson('/api/sign-in', ['login' => [], 'password' => 'x'])->assertStatus(422);
    }
}
