<?php

declare(strict_types=1);

namespace Tests\Feature\Deferrals;

use App\Deferrals\Do\Deliver;
use App\Deferrals\Do\Remind;
use App\Deferrals\Model\Deferral;
use App\Deferrals\Model\Webhook;
use App\Deferrals\Model\WebhookDelivery;
use App\Fleet\Model\DueSheet;
use App\Shared\Clock;
use App\Shared\Notices;
use App\Shared\Records;
use Illuminate\Support\Facades\DB;
use Illuminate\Testing\TestResponse;
use Jorvel\Core\Shared\Instant;
use PHPUnit\Framework\Attributes\DataProvider;
use Symfony\Component\Process\Process;
use Tests\Feature\WorldCase;

/** Who is told of what happens: found once, signed, tried again, and seen to have arrived by a real receiver. */
final class RemindersTest extends WorldCase
{
    private ?Process $receiver = null;

    protected function tearDown(): void
    {
        $this->receiver?->stop(0);
        parent::tearDown();
    }

    /** @return string its address */
    private function receives(string $secret, int $fail = 0): string
    {
        $this->receiver = new Process(
            [PHP_BINARY, 'artisan', 'jorvel:receiver', '--port=0', "--secret={$secret}", "--fail={$fail}"],
            base_path(),
        );
        $this->receiver->setTimeout(60)->start();
        $this->receiver->waitUntil(static fn(string $kind, string $out): bool => str_contains($out, 'listening'));

        return 'http://'.json_decode(strtok($this->receiver->getOutput(), "\n"), true)['listening']
            .'/hooks/3f?key=deep';
    }

    /** @return list<array<string, mixed>> what the receiver said of each message */
    private function received(): array
    {
        usleep(200_000);
        $lines = array_slice(explode("\n", trim((string) $this->receiver?->getOutput())), 1);

        return array_map(static fn(string $l): array => json_decode($l, true), array_values(array_filter($lines)));
    }

    /**
     * @return list<array{string, int|null, string, string}> event, tries, answer without its instant, whether it
     *   arrived
     */
    private function messages(): array
    {
        return array_values(WebhookDelivery::orderBy('id')->get()->map(static fn(WebhookDelivery $d): array => [
            $d->event, $d->tries, explode(',', $d->answer)[0], $d->done_at === null ? 'not there' : 'there',
        ])->all());
    }

    private function later(int $seconds): void
    {
        $clock = app(Clock::class);
        $clock->start(Instant::fromEpoch($clock->now()->epoch() + $seconds));
    }

    /** @param list<string> $events */
    private function hook(string $address, array $events): Webhook
    {
        $made = $this->as(
            'ines',
            'POST',
            'webhooks',
            ['name' => 'Wall screen', 'address' => $address, 'events' => $events],
        );
        $made->assertStatus(201);
        $hook = Webhook::latest('id')->firstOrFail();
        self::assertSame($hook->secret, $made->json('secret'));
        self::assertNotSame($hook->secret, DB::table('webhooks')->value('secret'), 'a secret is not kept as it is');

        return $hook;
    }

    public function test_what_happens_is_told_once_signed_and_tried_until_it_arrives(): void
    {
        $hook = $this->hook('http://127.0.0.1:1/', ['finding.raised', 'deferral.extension_asked']);
        $hook->update(['address' => $this->receives($hook->secret, fail: 1)]);
        $carried = Deferral::whereHas('finding', static fn($q)
            => $q->where('place', 'flight deck, parking brake light'))
            ->firstOrFail();
        $ask = fn(int $days, string $login = 'ines'): TestResponse
            => $this->as(
                $login,
                'POST',
                "deferrals/{$carried->id}/ask-extension",
                ['days' => $days, 'reason' => 'the loom is late'],
            );
        self::assertStringContainsString('asked for already', $ask(2)->assertStatus(422)->json('message'));
        DB::table('deferral_needs')->where('kind', 'extension')->delete();
        $ask(2)->assertOk()->assertJsonPath('deferral.needs.1.what', 'Extension by 2 days: the loom is late')
            ->assertJsonPath('deferral.needs.1.said', 'asked for');
        $asked = DB::table('deferral_needs')->where('kind', 'extension')->value('id');
        $this->as('ines', 'POST', "deferral-needs/{$asked}", ['do' => 'there'])->assertStatus(422);
        // The part is there; an extension that is asked for holds nothing up.
        $this->as('ines', 'GET', "deferrals/{$carried->id}")->assertJsonPath('stages.0.state', 'done')
            ->assertJsonPath('deferral.closure', 'Can be closed Wed 6 May on the line, 6 days to spare.');
        self::assertStringContainsString('nothing was asked', $ask(300)->assertStatus(422)->json('message'));

        app(Remind::class)();
        app(Remind::class)();
        self::assertSame(1, app(Deliver::class)());
        self::assertSame(0, app(Deliver::class)(), 'not before its time');
        self::assertSame([['deferral.extension_asked', 1, 'answered 503', 'not there']], $this->messages());
        $this->later(59);
        self::assertSame(0, app(Deliver::class)());
        $this->later(2);
        self::assertSame(1, app(Deliver::class)());
        self::assertSame([['deferral.extension_asked', 2, 'answered 204', 'there']], $this->messages());
        [$first, $second] = $this->received();
        self::assertSame([true, '503 Service Unavailable', true, '204 No Content'], [
            $first['signed'], $first['answer'], $second['signed'], $second['answer'],
        ]);
        self::assertSame($first['delivery'], $second['delivery'], 'who gets it twice can tell');
        self::assertSame("/deferrals/{$carried->id}", $second['body']['link']);
        self::assertStringContainsString('2 days more are asked for', $second['body']['said']);

        $page = $this->as('mika', 'GET', 'reminders')->assertOk();
        $page->assertJsonPath('deliveries.0.state', 'clear')->assertJsonPath('secret', null)
            ->assertJsonPath('may', false);
        self::assertMatchesRegularExpression('~^http://127\.0\.0\.1:\d+/…$~', $page->json('webhooks.0.host'));
        self::assertStringNotContainsString('deep', (string) $page->getContent());

        // Granted: what was asked is answered.
        $this->as('ines', 'POST', "deferrals/{$carried->id}/extend", [
            'days' => 2, 'reason' => 'the loom is late', 'approval' => 'A-7', 'stamp' => 'C01', 'pin' => '1101',
        ])->assertOk()->assertJsonPath('deferral.needs.1.said', 'granted');

        // What is there no more is told all the same, and holds nothing else up.
        $hook->update(['events' => ['finding.raised', 'aircraft.released']]);
        DB::transaction(static function (): void {
            app(Records::class)->write(null, 'finding.raised', 'finding:99999');
            app(Records::class)->write(null, 'aircraft.released', 'visit:99999');
        });
        app(Remind::class)();
        self::assertSame(2, WebhookDelivery::where('body', 'like', '%which is there no more%')->count());
    }

    public function test_what_is_not_signed_with_the_secret_is_refused_by_the_receiver_and_given_up_in_the_end(): void
    {
        $hook = $this->hook('http://127.0.0.1:1/', ['aircraft.released']);
        $hook->update(['address' => $this->receives('another secret')]);
        $this->as('ines', 'POST', "webhooks/{$hook->id}/try")->assertOk();
        app(Deliver::class)();
        self::assertSame([['trial', 1, 'answered 401', 'not there']], $this->messages());
        $hook->update(['address' => 'http://127.0.0.1:1/']);
        for ($tries = 2; $tries <= Deliver::TRIES; $tries++) {
            $this->later(Deliver::wait($tries - 1));
            self::assertSame(1, app(Deliver::class)(), "try {$tries}");
        }
        $this->later(1_000_000);
        self::assertSame(0, app(Deliver::class)());
        $page = $this->as('ines', 'GET', 'reminders')
            ->assertJsonPath('deliveries.0.word', 'given up after 10: no answer');
        self::assertSame('1 message did not arrive and is given up.', $page->json('sentence'));
        $delivery = $page->json('deliveries.0.id');
        $this->as('ines', 'POST', "webhook-deliveries/{$delivery}/again")->assertOk();
        self::assertSame(1, app(Deliver::class)());
        $this->as('ines', 'POST', "webhooks/{$hook->id}/revoke")->assertOk()
            ->assertJsonPath('sentence', 'Nobody outside is told.');
        $this->later(1_000_000);
        self::assertSame(0, app(Deliver::class)());
        $this->as('ines', 'POST', "webhook-deliveries/{$delivery}/again")->assertStatus(422);
        $this->as('ines', 'POST', "webhooks/{$hook->id}/try")->assertStatus(422);
    }

    public function test_what_comes_near_is_told_once_and_again_when_it_went_and_came_near_again(): void
    {
        $ines = $this->person('ines')->id;
        $this->hook('http://127.0.0.1:1/', [Webhook::EXPIRING, Webhook::DUE]);
        app(Remind::class)();
        $near = static fn(string $event): array => WebhookDelivery::where('event', $event)->pluck('key')
            ->map(static fn(string $k): string => explode('@', $k)[0])->all();
        $due = $this->as('ines', 'GET', 'due?days=7')->json('rows');
        $lines = array_filter($due, static fn(array $l): bool => str_starts_with($l['key'], 'deferral:'));
        $soon = array_filter($lines, static fn(array $l): bool => $l['days'] <= Remind::DAYS);
        self::assertNotEmpty($soon);
        self::assertSameSize($soon, $near(Webhook::EXPIRING));
        self::assertCount(
            count(array_filter($due, static fn(array $l): bool => $l['visit'] === null)) - count($lines),
            $near(Webhook::DUE),
        );
        $said = array_column(app(Notices::class)->unseen($ines), 'said');
        self::assertCount(1, $said);
        self::assertStringContainsString('Antiskid, one channel, left runs out Thu 7 May, 2 days left; ', $said[0]);
        self::assertStringContainsString('due within 7 days', $said[0]);
        self::assertSame([], app(Notices::class)->unseen($this->person('oda')->id));
        self::assertSame(0, app(Remind::class)());

        // The first is closed: it is no more near. It comes back: it is told again.
        $id = (int) explode(':', array_values($soon)[0]['key'])[1];
        Deferral::findOrFail($id)->update(['state' => Deferral::CLOSED]);
        DueSheet::query()->delete();
        app(Remind::class)();
        self::assertNull(DB::table('reminders')->where('key', "expiring:{$id}")->value('key'));
        Deferral::findOrFail($id)->update(['state' => Deferral::OPEN]);
        DueSheet::query()->delete();
        $this->later(60);
        self::assertSame(1, app(Remind::class)());
    }

    /** @return iterable<string, array{array<string, mixed>, string}> */
    public static function bad(): iterable
    {
        yield 'no address' => [['address' => 'hangar'], 'address'];
        yield 'another scheme' => [['address' => 'file:///etc/passwd'], 'address'];
        yield 'nothing to be told of' => [['events' => []], 'events'];
        yield 'what is never told' => [['events' => ['card.signed']], 'events.0'];
        yield 'without a name' => [['name' => ''], 'name'];
    }

    /** @param array<string, mixed> $change */
    #[DataProvider('bad')]
    public function test_what_is_wrong_names_its_place(array $change, string $place): void
    {
        $good = ['name' => 'Wall', 'address' => 'https://example.test/in', 'events' => ['finding.raised']];
        $this->as('ines', 'POST', 'webhooks', [...$good, ...$change])->assertStatus(422)
            ->assertJsonValidationErrors($place);
        self::assertSame(0, Webhook::count());
    }
}
