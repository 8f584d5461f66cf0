<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Floor\Model\Assignment;
use App\Floor\Model\Card;
use App\Floor\Model\Presence;
use App\Floor\Model\SafingDevice;
use App\Floor\Model\Step;
use App\Shared\Clock;
use Illuminate\Support\Facades\Artisan;
use Illuminate\Support\Facades\DB;
use Jorvel\Core\Shared\Instant;
use PHPUnit\Framework\Attributes\DataProvider;

/** Days at chance on two cards of one aircraft: whatever people do and in whatever order, the rules of safe work hold. */
final class FloorDayTest extends WorldCase
{
    private const PEOPLE = ['oda', 'stig', 'lio', 'cora'];

    /** What a refusal may never touch. */
    private const KEPT = ['cards', 'steps', 'readings', 'safing_devices', 'presences', 'tool_loans', 'tool_uses', 'fitted_parts', 'part_batches', 'handovers', 'records'];

    /** @return iterable<string, array{int}> */
    public static function days(): iterable
    {
        for ($seed = 1; $seed <= 3; $seed++) {
            yield "seed {$seed}" => [$seed];
        }
    }

    #[DataProvider('days')]
    public function test_a_day_at_chance(int $seed): void
    {
        mt_srand($seed);
        $now = Instant::parse('2026-05-05T12:20:00Z');
        $cards = Card::whereIn('title', ['Gear extension by hand pump', 'Flap travel timing'])->where('state', Card::IN_WORK)->orderBy('id')->get()->all();
        foreach ($cards as $card) {
            Assignment::firstOrCreate(['card_id' => $card->id, 'person_id' => $this->person('cora')->id, 'role' => 'perform']);
            Assignment::firstOrCreate(['card_id' => $card->id, 'person_id' => $this->person('oda')->id, 'role' => 'perform']);
        }
        $done = ['ok' => 0, 'refused' => 0, 'held' => 0];
        for ($n = 0; $n < 160; $n++) {
            $now = Instant::fromEpoch($now->epoch() + mt_rand(0, 3) * 5);
            app(Clock::class)->start($now);
            $card = $cards[mt_rand(0, 1)]->refresh()->load(['steps', 'presences']);
            $login = self::PEOPLE[mt_rand(0, 3)];
            [$path, $body, $step] = $this->something($card, $login);
            $standing = $step === null ? [] : $this->standing($card, $step, $login);
            $before = self::fingerprint();
            $response = $this->as($login, 'POST', "cards/{$card->id}/{$path}", $body);
            $said = "{$n}: {$login} {$card->number} {$path} ".json_encode($body).': '.$response->getStatusCode().' '.$response->json('message');
            self::assertContains($response->getStatusCode(), [200, 403, 422], $said);
            if ($response->getStatusCode() !== 200) {
                self::assertSame($before, self::fingerprint(), "what is refused changes nothing. {$said}");
                $done[$standing === [] ? 'refused' : 'held']++;

                continue;
            }
            $done['ok']++;
            self::assertSame([], $standing, "something stood against it. {$said}");
            if ($step !== null) {
                self::assertSame($card->version + 1, $card->refresh()->version, $said);
            }
        }
        self::assertGreaterThan(15, $done['ok'], 'the day goes on');
        self::assertGreaterThan(3, $done['held'], 'and something is held in it');
        self::assertSame(0, Artisan::call('jorvel:verify'), Artisan::output());
    }

    /** @return array{string, array<string, mixed>, Step|null} a path, a body, and the step it would work */
    private function something(Card $card, string $login): array
    {
        $who = Presence::whereIn('card_id', Card::where('aircraft_id', $card->aircraft_id)->pluck('id'))->inRandomOrder((string) mt_rand())->value('person_id');

        return match (mt_rand(0, 11)) {
            0 => ['clear', ['person' => $who ?? $this->person($login)->id], null],
            1 => ['hand-over', ['version' => $card->version, 'said' => 'so far'], null],
            2 => ['take-over', [], null],
            default => $this->aStep($card),
        };
    }

    /** @return array{string, array<string, mixed>, Step} mostly the next step, answered mostly as it should be */
    private function aStep(Card $card): array
    {
        $step = mt_rand(0, 4) > 0 ? $card->nextStep() ?? $card->steps->first() : $card->steps[mt_rand(0, $card->steps->count() - 1)];
        assert($step instanceof Step);
        $good = mt_rand(0, 3) > 0;
        $answer = match ($step->kind) {
            'count' => ['do' => 'count', 'entry' => $good ? '50' : '7'],
            'compare' => ['do' => 'compare', 'entries' => ['shown' => '92', 'real' => $good ? '91' : '60'], 'tool' => 'PG-28'],
            'measurement', 'torque' => ['do' => 'read', 'entry' => $good ? '0.3' : '9', 'tool' => $good ? 'FG-11' : 'CT-03'],
            'timing' => ['do' => 'read', 'entry' => $good ? '6.1' : '90'],
            'hold' => ['do' => $step->started_at === null || ! $good ? 'start' : 'done'],
            'rollcall' => mt_rand(0, 2) > 0 ? ['do' => 'call', 'entry' => $step->spec['places'][mt_rand(0, count($step->spec['places']) - 1)], 'note' => 'Noor Hadley'] : ['do' => 'done'],
            default => ['do' => 'done'],
        };
        if ($step->state === Step::DONE && mt_rand(0, 2) === 0) {
            $answer = ['do' => 'reopen', 'note' => 'not as it should be'];
        }

        return ["steps/{$step->no}", ['version' => $card->version, ...$answer], $step];
    }

    /**
     * What stands against a step now, and what comes before it, read from the tables without the rules that are tested.
     *
     * @return list<string>
     */
    private function standing(Card $card, Step $step, string $login): array
    {
        $me = $this->person($login)->id;
        $systems = $step->state === Step::DONE ? [] : $step->spec['acts']['systems'] ?? [];
        $meets = static fn(array $a, array $b): bool => $b !== [] && (in_array('*', $a, true) || array_intersect($a, $b) !== []);
        $before = $card->steps->filter(static fn(Step $s): bool => $s->no < $step->no && $s->state !== Step::DONE && $s->kind !== 'finding_prompt' && ($s->spec['group'] ?? '-') !== ($step->spec['group'] ?? ''));
        $found = $step->state === Step::DONE ? [] : array_values($before->map(static fn(Step $s): string => "step {$s->no} comes first")->all());
        foreach (SafingDevice::where('aircraft_id', $card->aircraft_id)->whereNull('removed_at')->get() as $device) {
            array_push($found, ...($meets($device->against, $systems) ? ["{$device->kind} is fitted"] : []));
        }
        foreach (Presence::with('card')->where('person_id', '!=', $me)->get() as $there) {
            $other = $there->card->aircraft_id === $card->aircraft_id && $there->card_id !== $card->id;
            array_push($found, ...($other && $meets($there->card->systems, $systems) ? ["person {$there->person_id} is at {$there->card->number}"] : []));
            $running = $other && ! $card->presences->contains('person_id', $me) ? Step::where('card_id', $there->card_id)->where('state', Step::OPEN)->whereNotNull('started_at')->get() : [];
            foreach ($running as $runs) {
                array_push($found, ...($meets($runs->spec['acts']['systems'] ?? [], $card->systems) ? ["step {$runs->no} of {$there->card->number} runs"] : []));
            }
        }

        return $found;
    }

    private static function fingerprint(): string
    {
        return hash('xxh128', implode("\n", array_map(static fn(string $t): string => (string) json_encode(DB::table($t)->orderBy('id')->get()), self::KEPT)));
    }
}
