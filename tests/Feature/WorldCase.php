<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Crew\Model\Person;
use App\Floor\Model\Card;
use App\Shared\Clock;
use App\Visits\Model\Visit;
use Database\Demo\World;
use Illuminate\Contracts\Console\Kernel;
use Illuminate\Foundation\Application;
use Illuminate\Foundation\Testing\TestCase;
use Illuminate\Support\Facades\Artisan;
use Illuminate\Support\Facades\DB;
use Illuminate\Testing\TestResponse;
use Symfony\Component\HttpFoundation\Response;

/** A test in the demo world: loaded once into a file, and copied for every test. */
abstract class WorldCase extends TestCase
{
    private static ?string $template = null;

    protected string $database = '';

    public function createApplication(): Application
    {
        $app = require dirname(__DIR__, 2).'/bootstrap/app.php';
        $app->make(Kernel::class)->bootstrap();
        $fresh = self::$template === null;
        self::$template ??= (string) tempnam(sys_get_temp_dir(), 'jorvel-world');
        $this->database = (string) tempnam(sys_get_temp_dir(), 'jorvel-test');
        if ($fresh) {
            config([
                'database.connections.sqlite.database' => self::$template,
                'database.connections.sqlite.journal_mode' => 'DELETE',
            ]);
            Artisan::call('migrate:fresh', ['--force' => true]);
            $app->make(World::class)->load();
            $app->make('db')->purge();
            $template = self::$template;
            register_shutdown_function(static fn() => @unlink($template));
        }
        copy(self::$template, $this->database);
        config(['database.connections.sqlite.database' => $this->database]);

        return $app;
    }

    protected function tearDown(): void
    {
        parent::tearDown();
        array_map(unlink(...), glob($this->database.'*') ?: []);
    }

    protected function person(string $login): Person
    {
        return Person::with('qualifications')->where('login', $login)->firstOrFail();
    }

    /**
     * A request as somebody, with a key of its own unless one is given.
     *
     * @param array<string, mixed> $body
     *
     * @return TestResponse<Response>
     */
    protected function as(
        string $login,
        string $method,
        string $path,
        array $body = [],
        ?string $key = null,
    ): TestResponse {
        return $this->actingAs($this->person($login))->json(
            $method,
            "/api/{$path}",
            $body,
            $key === null ? [] : ['Idempotency-Key' => $key],
        );
    }

    /** The address of the visit that the demo's story calls so, such as "Block check". */
    protected function visitCalled(string $title, string $more = ''): string
    {
        return 'visits/'.Visit::where('title', $title)->valueOrFail('id').$more;
    }

    /** The address of the block check, or of something of it. */
    protected function block(string $more = ''): string
    {
        return $this->visitCalled('Block check', $more);
    }

    /**
     * The controller puts somebody on a card.
     *
     * @return TestResponse<Response>
     */
    protected function assign(Card $card, string $login, string $role = 'perform'): TestResponse
    {
        $body = ['person' => $this->person($login)->id, 'role' => $role];

        return $this->as('ines', 'POST', "cards/{$card->id}/assignments", $body);
    }

    /** The card as if every step of it had been worked, and signed by somebody. */
    protected function worked(int $card, string $who): Card
    {
        $this->stepsDone($card, $who);
        $is = Card::findOrFail($card);
        $this->as($who, 'POST', "cards/{$card}/sign", [
            'version' => $is->version, 'stamp' => $this->person($who)->stamp, 'pin' => $this->pinOf($who),
        ])->assertOk();

        return $is->refresh();
    }

    protected function pinOf(string $who): string
    {
        $people = json_decode((string) file_get_contents(database_path('demo/people.json')), true);

        return (string) array_column($people['people'] ?? $people, 'pin', 'login')[$who];
    }

    /** As if somebody had worked every step of a card. */
    protected function stepsDone(int $card, string $who): void
    {
        DB::table('steps')->where('card_id', $card)->update(['state' => 'done', 'done_by' => $this->person($who)->id]);
        DB::table('card_hands')->insertOrIgnore([
            'card_id' => $card, 'person_id' => $this->person($who)->id, 'since' => (string) app(Clock::class)->now(),
        ]);
    }
}
