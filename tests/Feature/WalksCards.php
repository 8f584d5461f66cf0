<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Crew\Model\Person;
use App\Floor\Model\Card;
use App\Floor\Model\Step;
use App\Library\Model\CardTemplate;
use App\Library\Model\ProgrammeItem;
use App\Shared\Clock;
use App\Stores\Model\PartBatch;
use App\Stores\Model\Tool;
use App\Visits\Model\Visit;
use Illuminate\Support\Facades\DB;
use Illuminate\Testing\TestResponse;
use Jorvel\Core\Bench\SheetChart;
use Jorvel\Core\Shared\Instant;
use Jorvel\Core\Shared\Unit;
use Symfony\Component\HttpFoundation\Response;
use Tests\InOrder;

/** Works a card through its doors as whoever is on it would, every step with an answer that is in order. */
trait WalksCards
{
    /**
     * A card of a template on a visit of its own, with people on it.
     *
     * @param string ...$people logins, the first of whom works it
     */
    private function cardOf(string $mark, string $template, string ...$people): Card
    {
        $of = CardTemplate::where('code', $template)->firstOrFail();
        $item = ProgrammeItem::where('type_id', $of->type_id)->whereNull('line')->whereNull('component')
            ->where('template_id', '!=', $of->id)->where('code', 'not like', '05%')->orderBy('id')->firstOrFail();
        $visit = (int) $this->as('ines', 'POST', 'visits', [
            'mark' => $mark, 'title' => "Walk {$template}", 'bay' => 'line', 'start' => '2026-05-05',
            'end' => '2026-05-08', 'items' => [$item->id],
        ])->assertCreated()->json('id');
        $this->as('ines', 'POST', "visits/{$visit}/cards", ['template' => $of->id])->assertCreated();
        Visit::whereKey($visit)->update(['state' => Visit::IN_WORK]);
        // Only the card itself is the point: what its visit does first is done.
        Card::where('visit_id', $visit)->where('template_id', '!=', $of->id)->update(['state' => Card::CLOSED]);
        $card = Card::with('steps')->where(['visit_id' => $visit, 'template_id' => $of->id])->orderByDesc('id')
            ->firstOrFail();
        foreach ($people as $who) {
            $x = $this->assign($card, $who);
            self::assertSame(200, $x->status(), $who.': '.$x->json('message'));
        }

        return $card;
    }

    /**
     * Works the steps in their order up to one of them.
     *
     * @param string $inspector for the inspections that steps are
     * @param int|null $until a step that is left, with all after it
     */
    private function walk(Card $card, string $who, string $inspector, ?int $until = null): void
    {
        foreach ($card->steps()->orderBy('no')->get() as $step) {
            if ($step->no === $until) {
                return;
            }
            if ($step->settled()) {
                continue;
            }
            if (isset($step->spec['second'])) {
                $this->as($inspector, 'POST', "cards/{$card->id}/steps/{$step->no}/second")->assertOk();
            }
            $answer = $this->worked1($card, $step, $who, $inspector);
            self::assertSame(
                200,
                $answer->status(),
                "{$card->number} step {$step->no}, {$step->title}: ".$answer->json('message'),
            );
            self::assertTrue(
                $step->refresh()->settled(),
                "{$card->number} step {$step->no}, {$step->title} is not done",
            );
        }
    }

    /** @return TestResponse<Response> the last answer that the step took */
    private function worked1(Card $card, Step $step, string $who, string $inspector): TestResponse
    {
        $spec = $step->spec;
        $send = fn(string $do, array $more = []): TestResponse => $this->as(
            $who,
            'POST',
            "cards/{$card->id}/steps/{$step->no}",
            ['version' => Card::findOrFail($card->id)->version, 'do' => $do, ...$more],
        );
        $read = fn(array $reading): array => [
            ...$this->good($card, $reading),
            'entries' => isset($reading['gauge']) ? ['temp' => '9'] : [],
        ];

        return match ($step->kind) {
            'measurement', 'torque', 'timing' => $send('read', $read($spec['reading'])),
            'count' => $send('count', ['entry' => (string) ($spec['min'] ?? 0)]),
            'answer' => $send('answer', ['entry' => (string) (collect((array) $spec['choices'])->first(
                static fn(array $c): bool => $c['verdict'] === 'pass' && ! ($c['unusual'] ?? false),
            )['id'] ?? '')]),
            'mark' => $send('mark', ['entry' => isset($spec['unit']) ? '12.5' : 'red, across the flats']),
            'meet' => $send('meet', ['entry' => isset($spec['within']) ? '12.6' : 'met']),
            'compare' => $send('compare', [
                'entries' => ['shown' => '50', 'real' => '50'],
                'tool' => isset($spec['real']['tool_kind']) ? $this->toolFor($card, [...$spec['real'], 'limit' => [
                    'kind' => 'nominal', 'unit' => $spec['unit'], 'nominal' => 50,
                ]])->code : '',
            ]),
            'tool' => $send('use', ['tool' => $this->toolFor($card, $spec)->code]),
            'hold' => $this->held($send, (int) $spec['hold']['seconds'], 'done', []),
            'test' => $this->held($send, (int) $spec['hold']['seconds'], 'read', $read($spec['reading'])),
            'circuit' => $this->round($card, $step, $who, $send),
            'part' => $send('fit', ['entries' => [
                'batch' => self::batchOf(['number' => $spec['part']]), 'seat' => 'yes', 'lubricated' => 'yes',
            ]]),
            'consumable' => $send('fill', [
                'entry' => (string) ($spec['min'] ?? 0.5),
                'entries' => ['batch' => self::batchOf(['specification' => $spec['product']])],
            ]),
            'attempt' => $send('begin', ['entries' => InOrder::conditions($spec)]),
            'verdict' => $send('verdict'),
            'sheet' => $this->sheet($card, $step, $send),
            'stabilise' => $this->held($send, (int) $spec['seconds'], 'done', []),
            'reference' => $send('read', [
                'entry' => '37', 'tool' => isset($spec['tool_kind']) ? $this->toolFor($card, $spec)->code : '',
            ]),
            'transition' => $send('watch', ['entries' => ['high' => '38', 'low' => '36', 'partner' => '37.5']]),
            'sequence' => $send('order', ['entries' => self::inOrder($spec)]),
            'indication' => $send('seen', ['entries' => array_fill_keys(array_column($spec['sources'], 'id'), 'yes')]),
            'precharge' => $send('read', $this->good($card, $spec['reading'])),
            'leak' => $this->leak($card, $spec, $send),
            'selftest' => $send('result', ['entries' => [
                ...array_fill_keys(
                    array_map(static fn(string $c): string => "channel.{$c}", $spec['channels']),
                    'pass',
                ),
                ...array_fill_keys(array_map(
                    static fn(array $s): string => "screen.{$s['id']}",
                    $spec['screens'] ?? [],
                ), 'yes'),
            ]]),
            'rollcall' => $this->called($card, $step, $who, $send),
            'inspection' => $this->as($inspector, 'POST', "cards/{$card->id}/steps/{$step->no}/inspect", [
                'version' => Card::findOrFail($card->id)->version, 'covers' => $spec['covers'],
                'stamp' => $this->person($inspector)->stamp, 'pin' => $this->pinOf($inspector),
            ]),
            default => $send('done'),
        };
    }

    /**
     * @param array<string, mixed> $spec
     *
     * @return array<string, string>
     */
    private static function inOrder(array $spec): array
    {
        $out = [];
        foreach ($spec['order'] as $i => $group) {
            $out += array_fill_keys($group, (string) ($i + 1));
        }

        return $out;
    }

    /**
     * A value well inside for every point of a sheet, as its tool shows it.
     *
     * @param array<string, string> $but points that read otherwise
     *
     * @return array<string, string>
     */
    private function sheetOf(Card $card, Step $step, array $but = []): array
    {
        $values = $out = [];
        $points = array_column($step->spec['points'], null, 'id');
        foreach ($points as $id => $p) {
            $unit = Unit::parse($p['unit']);
            $chart = isset($p['chart']) ? SheetChart::from($p['chart']) : null;
            $limit = $chart?->limit($values, Unit::parse($points[$chart->by]['unit']), $unit) ?? $p['limit'] ?? null;
            $value = round(
                $limit === null ? 14.0 : InOrder::inside($limit),
                $p['unit'] === 'mm' && $chart === null ? 1 : 0,
            );
            $out[$id] = $but[$id] ?? (string) $value;
            $values[$id] = (float) $out[$id];
            if (isset($p['tool_kind'])) {
                $out["tool.{$p['tool_kind']}"] = $this->toolFor($card, [
                    'tool_kind' => $p['tool_kind'],
                    // A tensiometer of another unit serves as well.
                    ...$limit === null || $p['unit'] === 'N' ? [] : ['limit' => $limit],
                ])->code;
            }
        }

        return $out;
    }

    /**
     * @param callable(string, array<string, mixed>=): TestResponse<Response> $send
     *
     * @return TestResponse<Response>
     */
    private function sheet(Card $card, Step $step, callable $send): TestResponse
    {
        $left = $step->spec['left'] ?? false;

        return $send(
            $left ? (isset($step->result['run']) ? 'as_left' : 'as_found') : 'read',
            ['entries' => $this->sheetOf($card, $step)],
        );
    }

    /**
     * @param array<string, mixed> $spec
     * @param callable(string, array<string, mixed>=): TestResponse<Response> $send
     *
     * @return TestResponse<Response>
     */
    private function leak(Card $card, array $spec, callable $send): TestResponse
    {
        $with = [
            'entry' => '37', 'entries' => ['temp' => '12'],
            'tool' => isset($spec['tool_kind']) ? $this->toolFor($card, $spec)->code : '',
        ];
        if (! isset($spec['from'])) {
            self::assertSame(200, $send('start', $with)->status());
        }
        $clock = app(Clock::class);
        $clock->start(Instant::fromEpoch($clock->now()->epoch() + (int) ($spec['minutes'] * 60) + 2));

        return $send('read', $with);
    }

    /** @param array<string, string> $of a part: a batch of it that is in stock and within its life */
    private static function batchOf(array $of): string
    {
        return (string) PartBatch::whereHas('part', static fn($q) => $q->where($of))->where('quantity', '>', 0)
            ->where(static fn($q) => $q->whereNull('expires')->orWhere('expires', '>', '2026-05-10'))
            ->orderByDesc('quantity')->valueOrFail('batch');
    }

    /** The number of the step that begins with these words. */
    private static function no(Card $card, string $title): int
    {
        return (int) $card->steps()->where('title', 'like', "{$title}%")->orderBy('no')->valueOrFail('no');
    }

    /**
     * One act at the step that begins with these words.
     *
     * @param array<string, mixed> $more
     *
     * @return TestResponse<Response>
     */
    private function act(Card $card, string $who, string $title, string $do, array $more = []): TestResponse
    {
        return $this->as($who, 'POST', "cards/{$card->id}/steps/".self::no($card, $title), [
            'version' => Card::findOrFail($card->id)->version, 'do' => $do, ...$more,
        ]);
    }

    /** Works up to the step that begins with these words; the step itself is left. */
    private function walkTo(Card $card, string $who, string $inspector, string $title): void
    {
        $this->walk($card, $who, $inspector, self::no($card, $title));
    }

    private static function settled(Card $card, string $title): bool
    {
        return $card->steps()->where('no', self::no($card, $title))->firstOrFail()->settled();
    }

    /**
     * A tool of its kind that may be used, reads that far, and is in the store or out on this card.
     *
     * @param array<string, mixed> $reading
     */
    private function toolFor(Card $card, array $reading): Tool
    {
        $value = isset($reading['limit']) ? InOrder::inside($reading['limit']) : null;
        $out = DB::table('tool_loans')->whereNull('in_at')->whereNotNull('tool_id')->pluck('card_id', 'tool_id');

        return Tool::where(['kind' => $reading['tool_kind'], 'state' => 'in'])->where('cal_due', '>', '2026-05-06')
            ->when($value !== null, static fn($q) => $q->where('low', '<=', $value)->where('high', '>=', $value))
            ->when(isset($reading['limit']['unit']), static fn($q) => $q->where('unit', $reading['limit']['unit']))
            ->orderBy('uncertainty')->orderBy('code')->get()
            ->first(static fn(Tool $t): bool => ($out[$t->id] ?? $card->id) === $card->id)
            ?? self::fail("no {$reading['tool_kind']} that reads {$value}");
    }

    /**
     * A value well inside a reading's limit, as its tool shows it.
     *
     * @param array<string, mixed> $reading
     *
     * @return array{entry: string, tool: string}
     */
    private function good(Card $card, array $reading): array
    {
        $value = InOrder::inside($reading['limit']);
        if (! isset($reading['tool_kind'])) {
            return ['entry' => (string) $value, 'tool' => ''];
        }
        $tool = $this->toolFor($card, $reading);
        $step = $tool->resolution ?? 0.01;

        return ['entry' => (string) round(round($value / $step) * $step, 4), 'tool' => $tool->code];
    }

    /**
     * @param callable(string, array<string, mixed>=): TestResponse<Response> $send
     * @param array<string, mixed> $more
     *
     * @return TestResponse<Response>
     */
    private function held(callable $send, int $seconds, string $then, array $more): TestResponse
    {
        $begun = $send('start');
        self::assertSame(200, $begun->status(), (string) $begun->json('message'));
        $clock = app(Clock::class);
        $clock->start(Instant::fromEpoch($clock->now()->epoch() + $seconds + 2));

        return $send($then, $more);
    }

    /**
     * @param callable(string, array<string, mixed>=): TestResponse<Response> $send
     *
     * @return TestResponse<Response>
     */
    private function round(Card $card, Step $step, string $who, callable $send): TestResponse
    {
        $spec = $step->spec;
        $entry = match ($spec['ask']) {
            'count' => (string) $spec['min'], 'reading' => (string) InOrder::inside($spec['reading']['limit']),
            default => 'seen',
        };
        $said = $this->as($who, 'POST', "cards/{$card->id}/steps/{$step->no}/points", [
            'version' => Card::findOrFail($card->id)->version, 'do' => 'point',
            'entries' => array_fill_keys(array_column($spec['points'], 'id'), $entry),
            'tool' => $spec['ask'] === 'reading' ? $this->good($card, $spec['reading'])['tool'] : '',
        ]);
        self::assertSame(200, $said->status(), (string) $said->json('message'));

        return $send('done');
    }

    /**
     * @param callable(string, array<string, mixed>=): TestResponse<Response> $send
     *
     * @return TestResponse<Response>
     */
    private function called(Card $card, Step $step, string $who, callable $send): TestResponse
    {
        $crew = (array) $this->as($who, 'GET', "cards/{$card->id}")->json('crew');
        // Whoever works it leads; the others stand where they are called.
        $names = array_values(array_diff($crew, [$this->person($who)->name]));
        $last = null;
        foreach (array_values($step->spec['places']) as $i => $place) {
            $leads = ($step->spec['lead'] ?? null) === $place;
            $last = $send('call', ['entry' => $place, 'note' => $leads ? $this->person($who)->name : $names[$i]]);
            self::assertSame(200, $last->status(), (string) $last->json('message'));
            if (($step->spec['signs'] ?? null) === $place) {
                $at = (string) Person::where('name', $names[$i])->valueOrFail('login');
                $this->as($at, 'POST', "cards/{$card->id}/steps/{$step->no}/briefed", [
                    'stamp' => $this->person($at)->stamp, 'pin' => $this->pinOf($at),
                ])->assertOk();
            }
        }

        return $step->refresh()->settled() && $last !== null ? $last : $send('done');
    }
}
