<?php

declare(strict_types=1);

namespace Tests\Feature\Bench;

use App\Bench\Model\InstrumentReading;
use App\Shared\Clock;
use Illuminate\Support\Facades\Artisan;
use Illuminate\Testing\TestResponse;
use Jorvel\Core\Shared\Instant;
use PHPUnit\Framework\Attributes\DataProvider;
use Symfony\Component\HttpFoundation\Response;
use Tests\Feature\WorldCase;

/** Instruments that send what they show, each by a token of its own. */
final class InstrumentsTest extends WorldCase
{
    private function token(string $tool = 'PG-28'): string
    {
        return (string) $this->as('ines', 'POST', "tools/{$tool}/token")->assertCreated()->json('token');
    }

    /**
     * @param list<array<string, mixed>> $readings
     *
     * @return TestResponse<Response>
     */
    private function sent(string $token, array $readings): TestResponse
    {
        return $this->postJson(
            '/api/instruments/readings',
            ['readings' => $readings],
            ['Authorization' => "Bearer {$token}"],
        );
    }

    public function test_it_sends_by_its_token_what_it_can_show_and_that_stands_for_a_little_while(): void
    {
        $token = $this->token();
        $this->sent('nobody', [['value' => 1, 'unit' => 'bar']])->assertStatus(401);
        $this->sent($token, [['value' => 41.2, 'unit' => 'bar'], ['value' => 41.4, 'unit' => 'bar']])->assertCreated()
            ->assertJson(['taken' => 2, 'tool' => 'PG-28']);
        $this->as('oda', 'GET', 'tools/PG-28/shown')->assertOk()->assertJsonPath('entry', '41.4');
        // Another unit, or more than it shows: none is taken.
        self::assertStringContainsString('PG-28 reads in bar', (string) $this->sent($token, [
            ['value' => 42, 'unit' => 'bar'], ['value' => 600, 'unit' => 'psi'],
        ])->assertStatus(422)->json('message'));
        $this->sent($token, [['value' => 140, 'unit' => 'bar']])->assertStatus(422);
        $this->sent($token, [])->assertStatus(422);
        self::assertSame(2, InstrumentReading::count());
        $clock = app(Clock::class);
        $clock->start(Instant::fromEpoch($clock->now()->epoch() + 21));
        $this->as('oda', 'GET', 'tools/PG-28/shown')->assertOk()->assertJsonPath('entry', null)
            ->assertJsonPath('sentence', 'PG-28 sends nothing just now. Switch it on, or enter what it shows.');
        // A new token ends the one before.
        $new = $this->token();
        $this->sent($token, [['value' => 41, 'unit' => 'bar']])->assertStatus(401);
        $this->sent($new, [['value' => 41, 'unit' => 'bar']])->assertCreated();
        $this->sent($new, [['said' => 'A PASS']])->assertCreated();
        $this->as('oda', 'GET', 'tools/PG-28/shown')->assertJsonPath('entry', 'A PASS');
    }

    /** @return iterable<string, array{string, array<string, mixed>, string}> name, options, what a line of it has */
    public static function instruments(): iterable
    {
        yield 'pressure gauge' => ['pressure-gauge', ['--tool' => 'PG-28', '--true' => '41'], '"unit":"bar"'];
        yield 'torque wrench' => ['torque-wrench', ['--true' => '30'], '"unit":"Nm"'];
        yield 'protractor' => ['protractor', ['--true' => '12'], '"unit":"deg"'];
        yield 'tensiometer' => ['tensiometer', ['--true' => '60'], '"unit":"lbf"'];
        yield 'dial gauge' => ['dial-gauge', ['--true' => '0.4'], '"unit":"mm"'];
        yield 'feeler set' => ['feeler-set', ['--true' => '0.4'], '"unit":"mm"'];
        yield 'thermometer' => ['thermometer', ['--true' => '21'], '"unit":"C"'];
        yield 'self-test panel' => ['self-test', ['--code' => '417'], 'B FAIL 417'];
        yield 'recorder' => ['recorder', ['--tool' => 'ER-2', '--true' => '-4.9'], 'time,ECM,Q1'];
    }

    /** @param array<string, mixed> $options */
    #[DataProvider('instruments')]
    public function test_a_simulated_one_streams_the_same_from_the_same_seed(
        string $name,
        array $options,
        string $has,
    ): void {
        $stream = static function () use ($name, $options): string {
            Artisan::call('jorvel:instrument', ['name' => $name, '--seed' => '4', ...$options]);

            return Artisan::output();
        };
        $first = $stream();
        self::assertStringContainsString($has, $first);
        self::assertSame($first, $stream());
    }

    public function test_one_that_is_none_says_which_there_are(): void
    {
        $this->artisan('jorvel:instrument', ['name' => 'teapot'])->assertFailed();
        $this->artisan('jorvel:instrument', ['name' => 'pressure-gauge', '--tool' => 'XX-1'])->assertFailed();
        $this->artisan('jorvel:instrument', ['name' => 'pressure-gauge', '--fault' => 'asleep'])->assertFailed();
    }
}
