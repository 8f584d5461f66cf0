<?php

declare(strict_types=1);

namespace Tests\Feature\Shared;

use App\Floor\Model\Card;
use App\Release\Model\Certificate;
use App\Shared\Http\Again;
use App\Shared\Http\Once;
use Illuminate\Routing\Middleware\ThrottleRequests;
use Illuminate\Routing\Route;
use Illuminate\Support\Facades\Artisan;
use Symfony\Component\HttpFoundation\Cookie;
use Tests\Feature\WorldCase;

/** Who may call what: a table of role × route, and no route beside it. */
final class RoutesTest extends WorldCase
{
    private const EVERYBODY = ['ines', 'oda', 'runa', 'tor', 'mika'];

    /**
     * For each route who is let in; everybody else is refused with 403, and nobody gets in unsigned. A body that is let
     * in but wrong is refused with 422 (409, 404), which is past the door.
     *
     * @return array<string, list<string>>
     */
    private static function table(): array
    {
        $card = 'cards/{card}';

        return [
            'GET me' => self::EVERYBODY, 'POST me/secrets' => self::EVERYBODY, 'POST sign-out' => self::EVERYBODY,
            'GET moment' => self::EVERYBODY, 'GET since' => self::EVERYBODY, 'POST notices/99/seen' => self::EVERYBODY,
            'POST compute/due' => self::EVERYBODY,
            'GET fleet' => self::EVERYBODY, 'GET fleet/QA-VFA' => self::EVERYBODY,
            'GET fleet/QA-VFA/history' => self::EVERYBODY, 'GET due' => self::EVERYBODY,
            'GET as-of' => self::EVERYBODY, 'GET as-of.csv' => self::EVERYBODY,
            'GET due.csv' => self::EVERYBODY, 'GET stagger' => self::EVERYBODY,
            'POST fleet/QA-VFA/flying' => ['ines'], 'POST flying/1/correct' => ['ines'],
            'POST flying-programme' => ['ines'], 'POST sectors/1/cancel' => ['ines'],
            'POST sectors/99/restore' => ['ines'],
            'GET components' => self::EVERYBODY, 'POST components/1/move' => ['ines'], 'GET bottles' => self::EVERYBODY,
            'POST components/1/readings' => ['ines', 'oda', 'runa', 'tor'],
            'POST readings/1/correct' => ['ines', 'oda', 'runa', 'tor'],
            'POST what-if' => ['ines'], 'POST what-if/apply' => ['ines'],
            'GET calendar-links' => self::EVERYBODY, 'POST calendar-links' => ['ines'],
            'POST calendar-links/99/revoke' => ['ines'],
            'GET visits' => self::EVERYBODY, 'GET visits/1' => self::EVERYBODY, 'POST visits' => ['ines'],
            'POST visits/99/cancel' => ['ines'], 'POST visits/99/edit' => ['ines'],
            'GET visits/1/more' => self::EVERYBODY, 'POST visits/99/items' => ['ines'],
            'POST visits/99/take-out' => ['ines'], 'POST visits/99/split' => ['ines'],
            'POST visits/99/merge' => ['ines'],
            'POST visits/99/begin' => ['ines', 'oda', 'runa', 'tor'],
            "GET {$card}/candidates?role=perform" => ['ines'], "POST {$card}/assignments" => ['ines'],
            'GET bays' => self::EVERYBODY, 'POST bays/1/slots' => ['ines'], 'POST bay-slots/99/remove' => ['ines'],
            'GET phases' => self::EVERYBODY,
            'GET season' => self::EVERYBODY, 'GET season.csv' => self::EVERYBODY,
            'GET season.ics' => self::EVERYBODY, 'GET season.pdf?month=2026-05' => self::EVERYBODY,
            'POST season/judge' => ['ines'], 'POST season/mend' => ['ines'],
            'POST season/propose' => ['ines'], 'GET season/run' => self::EVERYBODY,
            'POST season-runs/99/cancel' => ['ines'], 'POST season/keep' => ['ines'],
            'POST bays/1/closures' => ['ines'], 'POST bay-closures/99/open' => ['ines'],
            'GET visits/1/board' => self::EVERYBODY, 'POST visits/1/board/move' => ['ines'],
            'GET visits/1/cards/1/slip' => self::EVERYBODY, 'GET visits/1/plan' => self::EVERYBODY,
            'POST visits/1/plan' => ['ines'],
            'POST plan-runs/99/cancel' => ['ines'], 'GET visits/1/plan.csv' => self::EVERYBODY,
            'GET visits/1/plan.ics' => self::EVERYBODY, 'GET visits/1/window' => self::EVERYBODY,
            'POST visits/1/window' => ['ines'],
            'GET visits/1/progress' => self::EVERYBODY, 'POST findings/{finding}/card' => ['ines'],
            'GET crew' => self::EVERYBODY, 'GET crew/shift' => self::EVERYBODY, 'POST crew/shift/propose' => ['ines'],
            'POST crew/shift' => ['ines'], 'POST crew/2/days' => ['ines'], 'POST people' => ['ines'],
            'GET people/2' => self::EVERYBODY, 'POST people/2' => ['ines'], 'POST people/2/qualifications' => ['ines'],
            'POST people/2/secrets' => ['ines'], 'POST people/2/code' => ['ines', 'tor'],
            'POST people/2/qualifications/duplicate/confirm' => ['ines', 'tor'],
            'GET floor' => self::EVERYBODY, "GET {$card}" => self::EVERYBODY,
            "POST {$card}/steps/3" => ['oda'], "POST {$card}/steps/3/preview" => self::EVERYBODY,
            "POST {$card}/steps/7/foretell" => self::EVERYBODY,
            "GET {$card}/steps/3/beside" => self::EVERYBODY,
            "POST {$card}/sign" => ['oda'],
            "POST {$card}/inspect" => ['runa', 'tor'], "POST {$card}/steps/3/inspect" => ['runa', 'tor'],
            "POST {$card}/hand-over" => ['oda'], "POST {$card}/take-over" => ['oda'],
            "POST {$card}/clear" => ['ines', 'oda', 'runa', 'tor'],
            "POST {$card}/here" => ['ines', 'oda', 'runa', 'tor'], "POST {$card}/loans" => ['oda'],
            'GET findings/{finding}' => self::EVERYBODY,
            'POST findings/{finding}/photos' => ['ines', 'oda', 'runa', 'tor'],
            'POST findings/{finding}/spot' => ['ines', 'oda', 'runa', 'tor'], 'GET photos/99' => self::EVERYBODY,
            'GET registers' => self::EVERYBODY, 'GET registers/QA-VFA' => self::EVERYBODY,
            "POST {$card}/renew" => ['ines', 'oda', 'runa', 'tor'],
            "POST {$card}/reread" => ['ines', 'oda', 'runa', 'tor'], 'GET library/manuals/BM-TRK' => self::EVERYBODY,
            'POST library/templates/1/reread' => ['ines', 'runa', 'tor'],
            'POST library/manuals/BM-TRK/reread' => ['ines', 'runa', 'tor'],
            'POST library/manuals/BM-TRK/questions' => ['ines', 'oda', 'runa', 'tor'],
            'POST library/questions/1/answer' => ['ines', 'runa', 'tor'],
            'GET tools/CT-03' => self::EVERYBODY, 'POST tools' => ['ines', 'runa', 'tor'],
            'POST tools/CT-03/state' => ['ines', 'runa', 'tor'], 'POST tools/CT-03/checks' => ['ines', 'runa', 'tor'],
            'POST recalls/99/rechecks' => ['ines', 'runa', 'tor'], 'POST loans/99/in' => ['ines', 'oda', 'runa', 'tor'],
            "POST {$card}/findings" => ['ines', 'oda', 'runa', 'tor'],
            'GET bench' => self::EVERYBODY, 'GET bench/attempts' => self::EVERYBODY,
            'GET bench/attempts/1' => self::EVERYBODY,
            'GET bench/trends' => self::EVERYBODY, 'GET bench/trends/1' => self::EVERYBODY,
            'POST bench/trends/1/follow' => ['ines'],
            'GET bench/findings/49/walk' => self::EVERYBODY,
            'POST bench/findings/49/walk' => ['ines', 'oda', 'runa', 'tor'],
            'GET bench/riggings' => self::EVERYBODY, 'GET bench/riggings/99' => self::EVERYBODY,
            'GET bench/riggings/99/rigging.csv' => self::EVERYBODY,
            'GET bench/riggings/99/rigging.json' => self::EVERYBODY,
            'GET bench/riggings/99/rigging.pdf' => self::EVERYBODY,
            'GET bench/recordings' => self::EVERYBODY, 'GET bench/recordings/99' => self::EVERYBODY,
            'POST bench/recordings/look' => ['ines', 'oda', 'runa', 'tor'],
            'POST bench/recordings' => ['ines', 'oda', 'runa', 'tor'],
            'GET bench/recordings/99/samples' => self::EVERYBODY,
            'GET bench/recorders/1/simulated.csv' => self::EVERYBODY,
            'POST bench/recorders/1' => ['ines', 'runa', 'tor'], 'GET tools/CT-03/shown' => self::EVERYBODY,
            'POST tools/CT-03/token' => ['ines', 'runa', 'tor'],
            'GET library/trees' => self::EVERYBODY, 'GET library/trees/1/file.json' => self::EVERYBODY,
            'POST library/trees/SKV' => ['ines', 'runa', 'tor'],
            'POST library/trees/SKV/preview' => ['ines', 'runa', 'tor'],
            'POST library/trees/1/decide' => ['ines', 'runa', 'tor'],
            'GET deferrals' => self::EVERYBODY,
            'POST findings/{finding}/defer' => ['ines', 'tor'],
            'GET findings/{finding}/options' => self::EVERYBODY, 'GET deferrals/1' => self::EVERYBODY,
            'GET deferrals/1/placard.pdf' => self::EVERYBODY, 'POST deferrals/1/take-back' => ['ines', 'tor'],
            'GET library/listed/SKV' => self::EVERYBODY, 'GET library/listed/SKV/file.json' => self::EVERYBODY,
            'GET reliability' => self::EVERYBODY, 'GET reliability/rows' => self::EVERYBODY,
            'GET reliability.csv' => self::EVERYBODY,
            'POST deferrals/1/ask-extension' => ['ines', 'tor'], 'GET reminders' => self::EVERYBODY,
            'POST webhooks' => ['ines'], 'POST webhooks/99/try' => ['ines'], 'POST webhooks/99/revoke' => ['ines'],
            'POST webhook-deliveries/99/again' => ['ines'],
            'GET reports' => self::EVERYBODY, 'POST reports' => ['ines', 'oda', 'runa', 'tor'],
            'GET reports/1' => self::EVERYBODY, 'POST reports/bring' => ['ines', 'oda', 'runa', 'tor'],
            'POST reports/99/chapter' => ['ines', 'oda', 'runa', 'tor'],
            'POST reports/99/finding' => ['ines', 'oda', 'runa', 'tor'],
            'POST reports/99/test' => ['ines', 'runa', 'tor'],
            'POST reports/99/no-fault' => ['ines', 'runa', 'tor'],
            'GET sectors' => self::EVERYBODY, 'POST sectors/swap' => ['ines', 'tor'],
            'POST sectors/swap/preview' => ['ines', 'tor'], 'GET fleet/QA-VFA/crew-sheet.pdf' => self::EVERYBODY,
            'POST deferrals/1/extend' => ['ines', 'tor'], 'POST deferrals/1/needs' => ['ines', 'tor'],
            'POST deferral-needs/99' => ['ines', 'tor'], 'POST deferrals/1/plan' => ['ines', 'tor'],
            'POST deferrals/1/placard-off' => ['ines', 'oda', 'runa', 'tor'],
            'POST deferrals/1/close' => ['ines', 'tor'],
            'GET release' => self::EVERYBODY, 'GET release/1' => self::EVERYBODY, 'POST release/1' => ['tor'],
            'GET release/{released}/certificate.pdf' => self::EVERYBODY, 'GET release/1/cards.pdf' => self::EVERYBODY,
            'POST visits/99/cards' => ['ines'],
            "POST {$card}/steps/3/points" => ['oda'],
            "POST {$card}/steps/3/remarks" => ['ines', 'oda', 'runa', 'tor'],
            "POST {$card}/steps/3/here" => ['ines', 'oda', 'runa', 'tor'],
            "POST {$card}/steps/3/second" => ['ines', 'oda', 'runa', 'tor'],
            "POST {$card}/steps/3/briefed" => ['ines', 'oda', 'runa', 'tor'],
            "POST {$card}/steps/3/photos" => ['ines', 'oda', 'runa', 'tor'],
            "POST {$card}/lessons" => ['ines', 'oda', 'runa', 'tor'],
            "POST {$card}/lessons/read" => ['ines', 'oda', 'runa', 'tor'],
            'POST library/lessons/99' => ['ines', 'runa', 'tor'],
            'GET damage/QA-VFA' => self::EVERYBODY, "POST {$card}/damages" => ['ines', 'oda', 'runa', 'tor'],
            'POST damages/99/looks' => ['ines', 'oda', 'runa', 'tor'],
            'POST damages/99/same' => ['ines', 'oda', 'runa', 'tor'],
            'POST damages/99/settle' => ['ines', 'oda', 'runa', 'tor'],
            'GET exceedances' => self::EVERYBODY, 'POST exceedances' => ['ines', 'oda', 'runa', 'tor'],
            'POST exceedances/preview' => ['ines', 'oda', 'runa', 'tor'],
            'POST exceedances/recorder' => ['ines', 'oda', 'runa', 'tor'],
            'POST exceedances/recorder/preview' => ['ines', 'oda', 'runa', 'tor'],
            'POST exceedances/99/mistake' => ['ines', 'oda', 'runa', 'tor'],
            'POST findings/{finding}/follows' => ['ines', 'oda', 'runa', 'tor'],
            'POST follow-ups/99' => ['ines', 'oda', 'runa', 'tor'],
            'POST follow-ups/99/mistake' => ['ines', 'oda', 'runa', 'tor'],
            "POST {$card}/take" => ['ines', 'oda', 'runa', 'tor'],
            'GET library/follows' => self::EVERYBODY, 'GET library/follows/SKV/file.json' => self::EVERYBODY,
            'POST library/follows/SKV' => ['ines', 'runa', 'tor'],
            'POST library/follows/SKV/preview' => ['ines', 'runa', 'tor'],
            'POST library/rules/99/decide' => ['ines', 'runa', 'tor'],
            'POST library/rules/99/withdraw' => ['ines', 'runa', 'tor'],
            'GET library/figures/SKV' => self::EVERYBODY, 'POST library/figures/SKV' => ['ines', 'runa', 'tor'],
            'GET line' => self::EVERYBODY, 'POST line' => ['ines', 'oda', 'runa', 'tor'],
            'POST line/99/leave' => ['ines', 'oda', 'runa', 'tor'], 'GET line/99' => self::EVERYBODY,
            'GET line/99/log.pdf' => self::EVERYBODY,
            'POST line/99/good' => ['ines', 'oda', 'runa', 'tor'],
            "POST {$card}/waits" => ['ines', 'oda', 'runa', 'tor'],
            "POST {$card}/waits/99/end" => ['ines', 'oda', 'runa', 'tor'],
            'GET library/card-sets/SKV/file.json' => self::EVERYBODY,
            'GET library/card-choices/SKV' => self::EVERYBODY,
            'GET library/cards/SKV/CT-03' => self::EVERYBODY,
            'GET library/card-versions/SKV/1/2/CT-03' => self::EVERYBODY,
            'POST library/card-sets/SKV/preview' => ['ines', 'runa', 'tor'],
            'POST library/card-sets/SKV/drafts' => ['ines', 'runa', 'tor'],
            'POST library/card-sets/SKV/bulk' => ['ines', 'runa', 'tor'],
            'POST library/drafts/99/check' => ['ines', 'runa', 'tor'],
            'POST library/drafts/99/force' => ['ines', 'tor'],
            'POST library/drafts/99/discard' => ['ines', 'runa', 'tor'],
            'GET library' => self::EVERYBODY, 'GET library/programmes/SKV' => self::EVERYBODY,
            'GET library/programmes/SKV/file.json' => self::EVERYBODY, 'POST library/imports' => ['ines'],
            'POST library/imports/99/apply' => ['ines'],
            'GET stores' => self::EVERYBODY, 'POST parts' => ['ines'], 'GET parts/JV-3242-11' => self::EVERYBODY,
            'POST parts/JV-3242-11' => ['ines'], 'POST parts/JV-3242-11/goods' => ['ines'],
            'POST parts/JV-3242-11/orders' => ['ines'],
            'POST part-orders/99/cancel' => ['ines'], 'POST part-batches/1/moves' => ['ines'],
        ];
    }

    public function test_each_role_gets_where_it_may_and_nowhere_else(): void
    {
        $card = Card::whereHas('assignments.person', static fn($q) => $q->where('login', 'oda'))->firstOrFail();
        $this->as('oda', 'POST', "cards/{$card->id}/findings", ['place' => 'here', 'extent' => 'so far'])->assertOk();
        $finding = $card->findings()->firstOrFail();
        $released = (string) Certificate::query()->firstOrFail()->visit_id;
        foreach (self::table() as $route => $allowed) {
            [$method, $path] = explode(
                ' ',
                strtr($route, [
                    '{card}' => (string) $card->id, '{finding}' => (string) $finding->id, '{released}' => $released,
                ]),
                2,
            );
            foreach (self::EVERYBODY as $login) {
                $status = $this->as($login, $method, $path)->getStatusCode();
                self::assertLessThan(500, $status, "{$login} {$route}");
                in_array($login, $allowed, true)
                    ? self::assertNotContains($status, [401, 403], "{$login} may {$route}")
                    : self::assertSame(403, $status, "{$login} may not {$route}");
            }
        }
    }

    public function test_nobody_gets_in_unsigned(): void
    {
        foreach (array_keys(self::table()) as $route) {
            [$method, $path] = explode(
                ' ',
                strtr($route, ['{card}' => '1', '{finding}' => '1', '{released}' => '6']),
                2,
            );
            $this->json($method, "/api/{$path}")->assertStatus(401);
        }
    }

    public function test_what_is_asked_for_while_somebody_signs_in_does_not_sign_them_out_again(): void
    {
        $cookies = fn(string $path): array => array_map(
            static fn(Cookie $c): string => $c->getName(),
            $this->get($path, ['Accept' => 'application/json', 'Referer' => 'http://localhost'])->headers->getCookies(),
        );
        $session = (string) config('session.cookie');
        self::assertSame(['XSRF-TOKEN', $session], $cookies('/floor'), 'a page gives the session its cookies');
        self::assertSame(
            ['XSRF-TOKEN', $session],
            $cookies('/api/me'),
            'and so does a refusal to whoever has none to sign in with',
        );
        $this->withUnencryptedCookie($session, 'kept');
        self::assertSame(['XSRF-TOKEN'], $cookies('/api/me'), 'it leaves the one that is there');
        self::assertSame([], $cookies('/shell'), 'nor does what the worker keeps');
        $this->get('/shell')->assertOk()->assertSee('<div id="app">', false);
    }

    /** What counts requests writes too: were it inside the intention, a refusal would be told as saved. */
    public function test_what_was_done_is_answered_before_requests_are_counted_and_nothing_counted_commits_it(): void
    {
        $seen = 0;
        foreach (app('router')->getRoutes()->getRoutes() as $route) {
            $order = array_map(
                static fn(string $m): string => explode(':', $m)[0],
                app('router')->gatherRouteMiddleware($route),
            );
            [$again, $count, $once] = array_map(
                static fn(string $m): int|false => array_search($m, $order, true),
                [Again::class, ThrottleRequests::class, Once::class],
            );
            self::assertSame($again === false, $once === false, $route->uri());
            if ($count !== false && $once !== false) {
                $seen++;
                self::assertTrue($again < $count && $count < $once, $route->uri());
            }
        }
        self::assertGreaterThan(5, $seen);
    }

    public function test_the_table_and_the_description_name_every_route(): void
    {
        $pattern = static fn(string $path): string => (string) preg_replace(
            [
                '/\?.*/', '/\{\w+\}|QA-VFA|SKV|JV-3242-11|(?<=\/)\d+|(?<=file\.)json|BM-TRK|CT-03/',
                '/(?<=compute\/|qualifications\/)\w+/',
            ],
            ['', '*', '*'],
            $path,
        );
        $routes = array_filter(
            app('router')->getRoutes()->getRoutes(),
            static fn(Route $r): bool => str_starts_with($r->uri(), 'api/'),
        );
        $table = collect(array_keys(self::table()))->map(static fn(string $r): string => $pattern($r))
            ->push('POST sign-in', 'POST instruments/readings');
        Artisan::call('jorvel:openapi');
        $described = json_decode((string) file_get_contents(storage_path('app/openapi.json')), true)['paths'];
        foreach ($routes as $route) {
            $name = $route->methods()[0].' '.$pattern(substr($route->uri(), 4));
            self::assertContains($name, $table, 'the table of roles');
            if (preg_match('/\.(pdf|csv|\{form\})$|^api\/photos/', $route->uri()) !== 1) {
                self::assertArrayHasKey(
                    strtolower($route->methods()[0]),
                    $described['/'.$route->uri()] ?? [],
                    "/{$route->uri()} in the description",
                );
            }
        }
    }

    public function test_signing_in_is_throttled_and_says_little(): void
    {
        $this->postJson('/api/sign-in', ['login' => 'oda', 'password' => 'wrong'], ['Referer' => 'http://localhost'])
            ->assertStatus(422)->assertJsonFragment(['message' => 'Name or password is wrong.']);
        for ($i = 0; $i < 7; $i++) {
            $this->postJson('/api/sign-in', ['login' => 'oda', 'password' => "wrong{$i}"], [
                'Referer' => 'http://localhost',
            ]);
        }
        $this->postJson('/api/sign-in', ['login' => 'oda', 'password' => 'hangar-demo'], [
            'Referer' => 'http://localhost',
        ])->assertStatus(429);
        $this->postJson('/api/sign-in', ['login' => 'ines', 'password' => 'hangar-demo'], [
            'Referer' => 'http://localhost',
        ])->assertOk()->assertJsonPath('may', ['bring', 'write', 'plan', 'edit', 'read', 'defer']);
    }
}
