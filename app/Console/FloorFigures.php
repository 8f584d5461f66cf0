<?php

declare(strict_types=1);

namespace App\Console;

use App\Crew\Model\Person;
use App\Floor\Model\Assignment;
use App\Floor\Model\Card;
use App\Floor\Model\Step;
use App\Stores\Model\ToolRecall;
use App\Stores\Show\ShowStores;
use Illuminate\Contracts\Http\Kernel;
use Illuminate\Http\Request;
use Illuminate\Support\Arr;
use Illuminate\Support\Facades\Auth;
use Illuminate\Support\Facades\DB;
use Symfony\Component\HttpFoundation\Response;

/**
 * The figures of Floor and Stores, in a demo world of its own: opening a card of sixty steps, the verdict on a reading,
 * and a recall among 200,000 readings of which 4,000 rest on the tool.
 *
 * @phpstan-import-type Figure from LargeFigures
 */
final readonly class FloorFigures
{
    use OwnWorld;

    private const STEPS = 60;

    private const READINGS = 200_000;

    private const TOOLS = 50;

    /** Steps of a long card, and points of the round among them. */
    private const LONG = 200;

    private const POINTS = 400;

    /** @return iterable<Figure> */
    public function measure(): iterable
    {
        yield from $this->inOwnWorld(fn(): array => iterator_to_array($this->figures(), false));
    }

    /** @return iterable<Figure> */
    private function figures(): iterable
    {
        $card = $this->card();
        Auth::login(Person::where('login', 'oda')->firstOrFail());
        yield self::figure(
            'opening a card of 60 steps at the server, median of 15',
            Timing::median(fn() => $this->ask('GET', "/api/cards/{$card}"), 15),
            150.0,
        );
        yield self::figure(
            'the verdict on a reading at the server, median of 25',
            Timing::median(
                fn() => $this->ask(
                    'POST',
                    "/api/cards/{$card}/steps/3/preview",
                    ['entry' => '26', 'tool' => 'TW-108'],
                ),
                25,
            ),
            50.0,
        );
        yield from $this->round();
        $recall = $this->readings($card);
        $read = app(ShowStores::class);
        $found = 0;
        $median = Timing::median(function () use ($read, $recall, &$found): void {
            $found = $read->recall($recall)->readings;
        }, 9);
        yield self::figure('a recall among 200,000 readings, median of 9', $median, 300.0);
        yield self::figure('readings that rest on the tool', (float) $found, null);
    }

    /** @return Figure */
    private static function figure(string $metric, float $value, ?float $aim): array
    {
        return [
            'bench' => 'floor',
            'metric' => $metric,
            'value' => $value,
            'unit' => $aim === null ? '' : 'ms',
            'aim' => $aim,
            'more' => false,
        ];
    }

    private function card(): int
    {
        $card = Card::where('number', '001-01')->firstOrFail();
        $first = Step::where(['card_id' => $card->id, 'no' => 3])->firstOrFail();
        for ($no = Step::where('card_id', $card->id)->max('no') + 1; $no <= self::STEPS; $no++) {
            Step::create([...$first->only(['card_id', 'kind', 'title', 'text', 'spec', 'state']), 'no' => $no]);
        }

        return $card->id;
    }

    /** @return iterable<Figure> a card of 200 steps with a round of 400 points: opened, and a point of it ticked */
    private function round(): iterable
    {
        $id = $this->longCard();
        Inside::as('oda');
        yield self::figure(
            'opening a card of 200 steps with a round of 400 points at the server, median of 15',
            Timing::median(static fn() => self::requireOk(Inside::ask('GET', "cards/{$id}")), 15),
            150.0,
        );
        $point = 0;
        yield self::figure(
            'ticking a point of that round at the server, median of 25',
            Timing::median(static function () use ($id, &$point): void {
                $point++;
                self::requireOk(Inside::ask('POST', "cards/{$id}/steps/1/points", [
                    'do' => 'point', 'entries' => ["n{$point}" => 'seen'],
                ]));
            }, 25),
            40.0,
        );
    }

    private static function requireOk(Response $response): void
    {
        if ($response->getStatusCode() !== 200) {
            throw new \RuntimeException((string) $response->getContent());
        }
    }

    private function longCard(): int
    {
        $like = Card::where('number', '001-01')->firstOrFail();
        $card = Card::create([
            ...Arr::except($like->getAttributes(), ['id', 'begun_at', 'closed_at', 'signed_by', 'signed_at']),
            'number' => '001-R', 'state' => Card::OPEN, 'version' => 1, 'systems' => [], 'covers' => [],
            'needs' => null, 'positions' => [], 'panels' => [], 'configuration' => null, 'tools' => [],
            'ground' => null,
        ]);
        Assignment::create([
            'card_id' => $card->id, 'role' => 'perform',
            'person_id' => Person::where('login', 'oda')->valueOrFail('id'),
        ]);
        $points = array_map(
            static fn(int $i): array => ['id' => "n{$i}", 'place' => "nipple {$i}"],
            range(1, self::POINTS),
        );
        for ($no = 1; $no <= self::LONG; $no++) {
            Step::create([
                'card_id' => $card->id, 'no' => $no, 'state' => Step::OPEN, 'text' => 'As the manual says.',
                ...$no === 1
                    ? ['kind' => 'circuit', 'title' => 'Nipples', 'spec' => ['ask' => 'tick', 'points' => $points]]
                    : ['kind' => 'instruction', 'title' => "Step {$no}", 'spec' => []],
            ]);
        }

        return $card->id;
    }

    private function readings(int $card): ToolRecall
    {
        $recall = ToolRecall::firstOrFail();
        $cards = DB::table('steps')->where('kind', '!=', 'inspection')
            ->orderBy('id')
            ->limit(400)
            ->get(['id', 'card_id']);
        $tools = DB::table('tools')->whereNot('id', $recall->tool_id)
            ->limit(self::TOOLS - 1)
            ->pluck('id')
            ->push($recall->tool_id);
        $rows = [];
        for ($i = 0; $i < self::READINGS; $i++) {
            $step = $cards[$i % count($cards)];
            $rows[] = [
                'step_id' => $step->id,
                'card_id' => $step->card_id,
                'tool_id' => $tools[intdiv($i, count($cards)) % self::TOOLS],
                'person_id' => 2,
                'point' => "point {$i}",
                'kind' => 'reading',
                'run' => 1,
                'value' => 60,
                'unit' => 'lbf',
                'verdict' => 'pass',
                'reasons' => '[]',
                'at' => sprintf('2026-%02d-%02dT10:00:00Z', 2 + $i % 3, 1 + $i % 28),
                'stands' => true,
            ];
            if (count($rows) === 500) {
                DB::table('readings')->insert($rows);
                $rows = [];
            }
        }

        return $recall;
    }

    /** @param array<string, mixed> $body */
    private function ask(string $method, string $path, array $body = []): void
    {
        $response = app(Kernel::class)->handle(Request::create(
            $path,
            $method,
            $body,
            [],
            [],
            ['HTTP_ACCEPT' => 'application/json'],
        ));
        if ($response->getStatusCode() !== 200) {
            throw new \RuntimeException("{$path} answered {$response->getStatusCode()}");
        }
    }
}
