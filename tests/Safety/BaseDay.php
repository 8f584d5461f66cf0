<?php

declare(strict_types=1);

namespace Tests\Safety;

use Closure;
use Illuminate\Support\Facades\DB;
use stdClass;

/**
 * A day of a base at chance: several aircraft and visits, every role, steps and take-backs, holds begun and broken off,
 * hand-overs, people who come and are called clear, tools and rags, findings and their cards, signatures, inspections,
 * releases, and answers lost on the way. Judged act by act from the tables ({@see Reading}); what must never happen is
 * listed in docs/safety.md.
 */
final class BaseDay
{
    private const WORKERS = ['oda', 'stig', 'noor', 'bram', 'lio'];

    private const SIGNERS = [
        'oda' => ['T27', '2741'], 'stig' => ['T45', ''], 'noor' => ['T44', ''], 'bram' => ['T19', ''],
        'runa' => ['I04', '4410'], 'tor' => ['X02', '5520'],
    ];

    /** @var list<string> */
    public array $violations = [];

    /** @var array<string, int> by what was tried: how often it went through */
    public array $done = [];

    public int $refused = 0;

    public int $held = 0;

    public int $replayed = 0;

    /** @var array<string, int> */
    private array $people;

    /** @var list<int> */
    private array $aircraft;

    private int $now;

    /** @var array{string, string, array<string, mixed>, string}|null the last request that went through */
    private ?array $last = null;

    /**
     * @param Closure(string, string, array<string, mixed>, string): array{int, array<string, mixed>} $send login, path
     *   under /api, body and key of a POST; its status and answer
     * @param Closure(string): void $clock sets the application's clock
     */
    public function __construct(private readonly Closure $send, private readonly Closure $clock, int $seed)
    {
        mt_srand($seed);
        $this->now = (int) strtotime('2026-05-05T12:20:00Z');
        $this->people = array_map(intval(...), array_column(DB::select('select login, id from people'), 'id', 'login'));
        $this->prepare();
        $this->aircraft = array_values(
            array_unique(array_map(static fn(stdClass $c): int => (int) $c->aircraft_id, $this->cards())),
        );
    }

    /**
     * Everybody may work, on a handful of cards of three aircraft, two of them in two visits; nothing waits, no
     * inspection lapses.
     */
    private function prepare(): void
    {
        DB::update("update people set pin = (select pin from people where login = 'oda'), own_pin = 1");
        DB::delete('delete from notices');
        DB::update('update qualifications set valid_until = null');
        foreach ([...self::WORKERS, 'runa', 'tor'] as $login) {
            foreach ([
                ['authority', 'perform'], ['rating', 'OLN'], ['rating', 'SKV'], ['rating', 'TRK'],
                ['skill', 'airframe'], ['skill', 'engine'],
            ] as [$kind, $value]) {
                DB::insert('insert or ignore into qualifications (person_id, kind, value) values (?, ?, ?)', [
                    $this->people[$login], $kind, $value,
                ]);
            }
        }
        foreach (['QC-TAC', 'QA-VFC', 'Q-403'] as $mark) {
            $aircraft = (int) DB::scalar('select id from aircraft where mark = ?', [$mark]);
            foreach ($mark === 'QA-VFC' ? [['29-14', '27-31'], ['61-21', '28-21']] : (
                $mark === 'QC-TAC' ? [['35-12']] : []
            ) as $n => $codes) {
                $items = array_map(
                    static fn(stdClass $i): string => (string) $i->id,
                    DB::select(
                        'select i.id from programme_items i join aircraft a on a.type_id = i.type_id where a.id = ? '
                            .'and i.code in ('
                            .implode(',', array_fill(0, count($codes), '?')).')',
                        [$aircraft, ...$codes],
                    ),
                );
                $day = date('Y-m-d', $this->now + ($mark === 'QC-TAC' ? 3 : 2 * $n) * 86400);
                [$status, $said] = ($this->send)(
                    'ines',
                    'visits',
                    [
                        'mark' => $mark, 'title' => "At chance {$n}", 'bay' => 'line', 'start' => $day, 'end' => $day,
                        'items' => $items,
                    ],
                    '',
                );
                assert($status === 201, json_encode($said) ?: '');
            }
        }
        $cards = $this->cards();
        DB::delete('delete from card_waits where card_id in ('.implode(',', array_column($cards, 'id')).')');
        foreach ($cards as $card) {
            foreach ([...self::WORKERS, 'runa'] as $login) {
                $over = $login === 'lio' ? $this->people['stig'] : null;
                DB::insert(
                    'insert or ignore into assignments (card_id, person_id, role, under_id) values (?, ?, ?, ?)',
                    [$card->id, $this->people[$login], $over === null ? 'perform' : 'trainee', $over],
                );
            }
            DB::update(
                'update cards set revision = (select m.revision from manuals m join card_templates t on t.manual_id '
                    .'= m.id where t.id = cards.template_id) where id = ?',
                [$card->id],
            );
        }
        DB::update('update card_templates set revision = (select m.revision from manuals m where m.id = manual_id)');
        // The templates hold six to fifteen steps; short times make long days.
        DB::update(
            "update steps set spec = json_set(spec, '$.hold.seconds', 8) where json_extract(spec, '$.hold.seconds') "
                .'is not null and card_id in ('
                .implode(',', array_column($cards, 'id')).')',
        );
    }

    /** @return list<stdClass> */
    private function cards(): array
    {
        return DB::select(
            'select c.id, c.aircraft_id, c.state, c.visit_id from cards c join visits v on v.id = c.visit_id join '
                ."aircraft a on a.id = c.aircraft_id where v.state != 'released' and a.mark in ('QC-TAC', 'QA-VFC', "
                ."'Q-403') order by c.id limit 60",
        );
    }

    public function run(int $acts): void
    {
        for ($n = 0; $n < $acts; $n++) {
            $this->now += mt_rand(0, 4) * 4;
            ($this->clock)(gmdate('Y-m-d\TH:i:s\Z', $this->now));
            $this->act($n);
            if ($n % 20 === 19) {
                $this->stir($n);
            }
        }
    }

    /**
     * Now and then everybody goes for a break, or a card or a visit comes near its end; so that every state is met, and
     * not only the held ones.
     */
    private function stir(int $n): void
    {
        $card = $this->focus($n);
        if ($card === null) {
            return;
        }
        $at = gmdate('Y-m-d\TH:i:s\Z', $this->now);
        $oda = $this->people['oda'];
        $what = mt_rand(0, 3);
        if ($what === 0 || $what === 3) {
            DB::delete('delete from presences where card_id in (select id from cards where aircraft_id = ?)', [
                $card->aircraft_id,
            ]);
            DB::update(
                'update safing_devices set removed_at = ?, removed_by = ? where aircraft_id = ? and removed_at is null',
                [$at, $oda, $card->aircraft_id],
            );
            DB::update(
                "update steps set started_at = null where state = 'open' and card_id in (select id from cards where "
                    .'aircraft_id = ?)',
                [$card->aircraft_id],
            );
            DB::update('update acting set ended_at = ? where aircraft_id = ? and ended_at is null', [
                $at, $card->aircraft_id,
            ]);
        }
        if ($what === 1) {
            DB::update(
                "update steps set state = 'done', done_by = ?, done_at = ?, result = '{}', started_at = null where "
                    ."card_id = ? and state = 'open' and kind not in ('inspection', 'safing_fit', 'safing_remove')",
                [$oda, $at, $card->id],
            );
            DB::insert('insert or ignore into card_hands (card_id, person_id, since) values (?, ?, ?)', [
                $card->id, $oda, $at,
            ]);
            DB::update("update cards set state = 'in_work' where id = ? and state = 'open'", [$card->id]);
            DB::update('update acting set ended_at = ? where card_id = ? and ended_at is null', [$at, $card->id]);
        }
        if ($what === 2) {
            // Work that comes again: a card that is closed begins anew, with nobody's hand in it and nothing of it on.
            DB::update(
                'update safing_devices set removed_at = ?, removed_by = ? where removed_at is null and card_id = ? '
                    ."and card_id in (select id from cards where state in ('closed', 'signed'))",
                [$at, $oda, $card->id],
            );
            DB::update(
                "update cards set state = 'open', signed_by = null, inspected_by = null, begun_at = null where id = "
                    ."? and state in ('closed', 'signed')",
                [$card->id],
            );
            DB::update(
                "update steps set state = 'open', done_by = null, done_at = null, result = null, started_at = null "
                    ."where card_id = ? and exists (select 1 from cards c where c.id = card_id and c.state = 'open')",
                [$card->id],
            );
        }
        if ($what === 3) {
            // All but one card of the aircraft is closed, and all its findings are fixed.
            DB::update(
                "update steps set state = 'done', done_by = ?, done_at = ? where state = 'open' and card_id in "
                    .'(select id from cards where aircraft_id = ? and id != ?)',
                [$this->people['bram'], $at, $card->aircraft_id, $card->id],
            );
            DB::update(
                "update cards set state = 'closed', signed_by = ?, signed_at = ?, inspected_by = ?, inspected_at = "
                    ."? where aircraft_id = ? and state != 'closed' and id != ?",
                [
                    $this->people['bram'], $at, $this->people['tor'], $at, $card->aircraft_id,
                    mt_rand(0, 1) === 0 ? $card->id : 0,
                ],
            );
            DB::update(
                "update findings set state = 'fixed', fixed_how = 'at chance' where aircraft_id = ? and state = 'open'",
                [$card->aircraft_id],
            );
            DB::update(
                'update tool_loans set in_at = ?, in_by = ? where in_at is null and card_id in (select id from '
                    .'cards where aircraft_id = ?)',
                [$at, $oda, $card->aircraft_id],
            );
            DB::update(
                "update readings set stands = 0 where verdict != 'pass' and card_id in (select id from cards where "
                    .'aircraft_id = ?)',
                [$card->aircraft_id],
            );
        }
    }

    /** A few cards at a time, as on a shift; others come in as the day goes on. */
    private function focus(int $n): ?stdClass
    {
        $all = $this->cards();

        return mt_rand(0, 9) > 0
            ? $this->pick(array_slice($all, 2 * intdiv($n, 60) % max(1, count($all) - 5), 5))
            : $this->pick($all);
    }

    private function act(int $n): void
    {
        $card = $this->focus($n);
        if ($card === null) {
            return;
        }
        $login = [...self::WORKERS, 'runa'][mt_rand(0, 5)];
        match (true) {
            mt_rand(0, 99) < 8 => $this->again(),
            default => match (mt_rand(0, 26)) {
                0, 21, 22 => $this->clear($n, $login, (int) $card->aircraft_id),
                1 => mt_rand(0, 2) > 0 ? $this->step($n, $login, $card) : $this->simple(
                    $n,
                    $login,
                    $card,
                    'hand-over',
                    ['version' => Reading::card($card->id)->version, 'said' => 'so far'],
                ),
                2, 3 => $this->simple($n, $login, $card, 'take-over', []),
                4 => $this->come($n, $login, $card),
                5 => $this->simple($n, $login, $card, 'loans', ['what' => 'rags', 'quantity' => mt_rand(1, 9)]),
                6, 7 => $this->sign($n, $login, $card),
                8, 9 => $this->inspect($n, $card),
                10 => $this->release($n, $card),
                11 => mt_rand(0, 5) === 0 ? $this->simple($n, $login, $card, 'findings', [
                    'place' => "place {$n}", 'extent' => 'worn',
                    'chapter' => ['29-10', '53-10', '27-20'][mt_rand(0, 2)],
                ]) : $this->fix(),
                12 => $this->countIn($n),
                default => $this->step($n, $login, $card),
            },
        };
    }

    /**
     * @param list<stdClass> $of
     */
    private function pick(array $of): ?stdClass
    {
        return $of === [] ? null : $of[mt_rand(0, count($of) - 1)];
    }

    /**
     * @param array<string, mixed> $body
     *
     * @return int status; whatever is refused has changed nothing
     */
    private function ask(int $n, string $login, string $path, array $body): int
    {
        $key = "day-{$n}-".mt_rand();
        $before = (int) DB::scalar('select total_changes()');
        $records = (int) DB::scalar('select count(*) from records');
        [$status, $said] = ($this->send)($login, $path, $body, $key);
        if ($status >= 500) {
            $this->violations[] = "{$n}: {$login} {$path} failed: ".json_encode($said);
        }
        if ($status >= 300) {
            $this->refused++;
            if ((int) DB::scalar('select total_changes()') !== $before) {
                $this->violations[] = "{$n}: {$login} {$path} was refused and changed something: ".json_encode($said);
            }
        } else {
            $what = explode('/', $path);
            $this->done[end($what) === (string) (int) end($what) ? $what[count($what) - 2] : end($what)] = (
                $this->done[end($what) === (string) (int) end($what) ? $what[count($what) - 2] : end($what)] ?? 0
            ) + 1;
            $this->last = [$login, $path, $body, $key];
            if ((int) DB::scalar('select count(*) from records') === $records && ! str_ends_with($path, 'notices')) {
                $this->violations[] = "{$n}: {$login} {$path} went through and is in no record";
            }
        }

        return $status;
    }

    /** The answer was lost; the tablet sends the same again. */
    private function again(): void
    {
        if ($this->last === null) {
            return;
        }
        $records = (int) DB::scalar('select count(*) from records');
        [$status] = ($this->send)(...$this->last);
        $this->replayed++;
        if ($status >= 300) {
            $this->violations[] = "what was carried out was answered with {$status} when it was sent again: {$this->last[1]}";
        }
        if ((int) DB::scalar('select count(*) from records') !== $records) {
            $this->violations[] = "what was sent again was carried out twice: {$this->last[1]}";
        }
    }

    /** @param list<string> $against */
    private function never(bool $went, array $against, string $what): void
    {
        if ($went && $against !== []) {
            $this->violations[] = "{$what} although ".implode('; ', $against);
        }
        $this->held += ! $went && $against !== [] ? 1 : 0;
    }

    private function step(int $n, string $login, stdClass $of): void
    {
        $card = Reading::card($of->id);
        $steps = Reading::steps($of->id);
        $open = array_values(array_filter($steps, static fn(stdClass $s): bool => $s->state !== 'done'));
        $step = mt_rand(0, 5) > 0 && $open !== [] ? $open[0] : $this->pick($steps);
        if ($step === null) {
            return;
        }
        if (Reading::handedOver($of->id) && mt_rand(0, 3) > 0) {
            $this->simple($n, $login, $of, 'take-over', []);

            return;
        }
        $me = $this->people[$login];
        [$do, $more] = $this->answer($step);
        $against = array_keys(array_filter([
            'it is signed' => in_array($card->state, ['signed', 'closed'], true),
            'it is handed over' => Reading::handedOver($of->id),
            'it is to be re-read' => $card->revision !== $card->manual,
        ]));
        if (! in_array($do, ['take_back', 'stop'], true)) {
            $before = array_filter(
                $steps,
                static fn(stdClass $s): bool
                    => $s->no < $step->no && $s->state !== 'done' && $s->kind !== 'finding_prompt'
                        && ($s->spec['group'] ?? '-') !== ($step->spec['group'] ?? ''),
            );
            array_push(
                $against,
                ...($before === [] ? [] : ['a step before it is open']),
                ...Reading::against($card, $step, $me),
            );
        }
        array_push($against, ...(Reading::isAt($of->id, $me) ? [] : Reading::live($card)));
        $later = array_values(
            array_filter($steps, static fn(stdClass $s): bool => $s->no > $step->no && $s->state === 'done'),
        );
        $went = $this->ask($n, $login, "cards/{$of->id}/steps/{$step->no}", [
            'version' => $card->version, 'do' => $do, ...$more,
        ]) === 200;
        $this->never($went, $against, "{$n}: {$login} worked step {$step->no} ({$do}) of {$card->number}");
        if (! $went) {
            return;
        }
        $after = Reading::card($of->id);
        if ($after->version !== $card->version + 1 || ! Reading::isAt($of->id, $me)) {
            $this->violations[] = "{$n}: step {$step->no} of {$card->number} went through; the version is {$after->version} after {$card->version}, or {$login} is not at it";
        }
        if ($do === 'take_back') {
            $this->fallen($n, $card, $step, $later);
        }
        $this->register($n, $card, $step, $do);
    }

    /**
     * What inspected a step that was taken back is open again; and what proved a part.
     *
     * @param list<stdClass> $later
     */
    private function fallen(int $n, stdClass $card, stdClass $step, array $later): void
    {
        $now = array_column(Reading::steps($card->id), 'state', 'no');
        foreach ($later as $s) {
            $proves = $step->kind === 'part'
                && in_array($s->kind, ['hold', 'test', 'measurement', 'torque', 'timing', 'compare'], true);
            if (($s->kind === 'inspection' || $proves) && $now[$s->no] === 'done') {
                $this->violations[] = "{$n}: step {$step->no} of {$card->number} was taken back and step {$s->no} ({$s->kind}) still stands on it";
            }
        }
        if (DB::selectOne('select 1 from readings where step_id = ? and stands = 1', [$step->id]) !== null) {
            $this->violations[] = "{$n}: a reading of a step taken back still stands";
        }
    }

    /** The register says what its steps say. */
    private function register(int $n, stdClass $card, stdClass $step, string $do): void
    {
        if ($step->kind !== 'safing_fit' || ! in_array($do, ['done', 'take_back'], true)) {
            return;
        }
        $on = DB::selectOne('select 1 from safing_devices where fitted_step_id = ? and removed_at is null', [
            $step->id,
        ]) !== null;
        if ($on !== ($do === 'done')) {
            $this->violations[] = "{$n}: step {$step->no} of {$card->number} was {$do} and the register says "
                .($on ? 'on' : 'off');
        }
    }

    /** @return array{string, array<string, mixed>} mostly as it should be */
    private function answer(stdClass $step): array
    {
        $good = mt_rand(0, 4) > 0;
        if ($step->state === 'done' && mt_rand(0, 2) === 0) {
            return ['take_back', ['note' => 'not as it should be']];
        }
        if ($step->started_at !== null && mt_rand(0, 4) === 0) {
            return ['stop', ['note' => 'leak']];
        }
        if (isset($step->spec['test']) && mt_rand(0, 11) === 0) {
            return ['break_off', ['note' => 'a gust']];
        }
        // A limit that flows is somewhere near what was read first.
        $limit = array_map(
            static fn(mixed $v): mixed => is_string($v) && str_contains($v, 'before') ? 120 : $v,
            $step->spec['reading']['limit'] ?? [],
        );
        $aim = (string) round(
            (float) (
                $limit['nominal'] ?? (
                    isset($limit['min'], $limit['max']) ? ($limit['min'] + $limit['max']) / 2 : (
                        $limit['min'] ?? ($limit['max'] ?? 1) / 2
                    )
                )
            ),
            0,
        );
        $aim = $aim === '0' ? '0.2' : $aim;
        $tool = [
            'pressure gauge' => 'PG-34', 'torque wrench' => 'TW-114', 'feeler gauge' => 'FG-12',
            'protractor' => 'PR-07', 'tensiometer' => 'CT-08',
        ];
        $kind = $step->spec['reading']['tool_kind'] ?? $step->spec['real']['tool_kind'] ?? $step->spec['tool_kind']
            ?? '';
        $places = $step->spec['places'] ?? [];

        return match ($step->kind) {
            'count' => [
                'count',
                ['entry' => $good ? (string) ($step->spec['min'] ?? min(4, $step->spec['max'] ?? 4)) : '700'],
            ],
            'compare' => [
                'compare',
                ['entries' => ['shown' => '50', 'real' => $good ? '50' : '20'], 'tool' => $tool[$kind] ?? ''],
            ],
            'measurement', 'torque',
            'timing' => ['read', ['entry' => $good ? $aim : '99', 'tool' => $tool[$kind] ?? '']],
            'answer' => ['answer', ['note' => 'seen', 'entry' => array_column(
                array_filter($step->spec['choices'], static fn(array $c): bool => ($c['verdict'] === 'pass') === $good),
                'id',
            )[0] ?? 'none']],
            'mark' => ['mark', ['entry' => '2']],
            'meet' => ['meet', ['entry' => isset($step->spec['within']) ? ($good ? '2' : '9') : 'met']],
            'circuit' => mt_rand(0, 4) === 0 ? ['done', []] : ['point', ['entries' => array_fill_keys(
                array_column($step->spec['points'], 'id'),
                $step->spec['ask'] === 'tick' ? 'seen' : (string) ($step->spec['min'] ?? 1),
            )]],
            'hold' => [$step->started_at === null ? 'start' : 'done', []],
            'test' => $step->started_at === null ? ['start', []] : [
                'read', ['entry' => $good ? $aim : '99', 'tool' => $tool[$kind] ?? ''],
            ],
            'tool' => ['use', ['tool' => $tool[$kind] ?? '']],
            'part' => [
                'fit',
                ['entries' => [
                    'batch' => (string) DB::scalar(
                        'select b.batch from part_batches b join parts p on p.id = b.part_id where p.number = ? and '
                            .'b.quantity > 0 order by b.expires is not null, b.id limit 1',
                        [$step->spec['part']],
                    ),
                    'seat' => 'yes', 'lubricated' => 'yes',
                ]],
            ],
            'rollcall' => mt_rand(0, 3) > 0 ? [
                'call',
                [
                    'entry' => $places[mt_rand(0, count($places) - 1)],
                    'note' => ['Noor Hadley', 'T45', 'Bram Oster', 'T27', 'Lio Kest', 'Runa Vale'][mt_rand(0, 5)],
                ],
            ] : ['done', []],
            'attempt' => ['begin', ['entries' => ['fuel' => '300', 'wind' => '9', 'air' => '12', 'aboard' => 'Pia']]],
            'verdict' => [mt_rand(0, 1) === 0 ? 'verdict' : 'new_attempt', []],
            'stabilise' => [$step->started_at === null ? 'start' : 'done', []],
            'reference' => ['read', ['entry' => '37']],
            'transition' => ['watch', [
                'entries' => ['high' => '38', 'low' => $good ? '36' : '20', 'partner' => '38'], 'note' => 'seen',
            ]],
            'sheet' => ['read', ['entries' => [
                'temp' => '14', 'gas' => '38', 'bright' => $good ? '64' : '40', 'tool.thermometer' => 'TH-03',
                'tool.pressure gauge' => 'PG-34',
            ]]],
            default => ['done', []],
        };
    }

    private function come(int $n, string $login, stdClass $of): void
    {
        $card = Reading::card($of->id);
        $against = Reading::isAt($of->id, $this->people[$login]) || in_array($card->state, ['signed', 'closed'], true)
            ? []
            : Reading::live($card);
        $this->never(
            $this->ask($n, $login, "cards/{$of->id}/here", []) === 200,
            $against,
            "{$n}: {$login} came to {$card->number}",
        );
    }

    private function clear(int $n, string $login, int $aircraft): void
    {
        $there = $this->pick(DB::select(
            'select p.person_id, p.card_id from presences p join cards c on c.id = p.card_id where c.aircraft_id = ?',
            [$aircraft],
        ));
        if ($there !== null) {
            $this->ask($n, mt_rand(0, 4) === 0 ? 'ines' : $login, "cards/{$there->card_id}/clear", [
                'person' => (int) $there->person_id,
            ]);
        }
    }

    /** @param array<string, mixed> $body */
    private function simple(int $n, string $login, stdClass $card, string $path, array $body): void
    {
        $state = Reading::card($card->id)->state;
        $went = $this->ask($n, $login, "cards/{$card->id}/{$path}", $body) < 300;
        $worked = in_array($state, ['signed', 'closed'], true);
        $this->never(
            $went,
            $worked && in_array($path, ['hand-over', 'take-over', 'loans'], true) ? ['it is signed'] : [],
            "{$n}: {$login} {$path} on card {$card->id}",
        );
    }

    private function sign(int $n, string $login, stdClass $of): void
    {
        // A card near its end, if there is one.
        $of = $this->pick(DB::select(
            "select c.id from cards c join visits v on v.id = c.visit_id where v.state != 'released' and c.state = "
                ."'in_work' and not exists (select 1 from steps s where s.card_id = c.id and s.state = 'open') and "
                .'c.aircraft_id in ('
                .implode(',', $this->aircraft).')',
        )) ?? $of;
        $card = Reading::card((int) $of->id);
        $me = $this->people[$login];
        $steps = Reading::steps((int) $of->id);
        $loans = array_column(
            DB::select('select id, quantity from tool_loans where card_id = ? and in_at is null', [$of->id]),
            'quantity',
            'id',
        );
        $back = mt_rand(0, 4) > 0 ? $loans : array_slice($loans, 1, null, true);
        $others = (int) DB::scalar('select count(*) from presences where card_id = ? and person_id != ?', [
            $of->id, $me,
        ]);
        $against = array_keys(array_filter([
            'steps are open' => array_filter($steps, static fn(stdClass $s): bool => $s->state === 'open') !== [],
            'it is signed' => in_array($card->state, ['signed', 'closed'], true),
            'it is handed over' => Reading::handedOver((int) $of->id),
            'the signer inspected it' => in_array(
                $me,
                array_map(static fn(stdClass $s): int => $s->kind === 'inspection' ? (int) $s->done_by : 0, $steps),
                true,
            ),
            'something stays out' => count($back) < count($loans),
            'a system is live' => DB::selectOne('select 1 from acting where card_id = ? and ended_at is null', [
                $of->id,
            ]) !== null,
            'the signer is a trainee' => $login === 'lio',
            'the signer did nothing of it'
                => DB::selectOne('select 1 from card_hands where card_id = ? and person_id = ?', [
                    $of->id, $me,
                ]) === null
                && ! in_array($me, array_map(static fn(stdClass $s): int => (int) $s->done_by, $steps), true),
        ]));
        $went = $this->ask($n, $login, "cards/{$of->id}/sign", [
            'version' => $card->version, 'stamp' => self::SIGNERS[$login][0] ?? 'T38', 'pin' => '2741',
            'counted' => (object) $back,
        ]) === 200;
        $this->never($went, $against, "{$n}: {$login} signed {$card->number}");
        if ($went && ((int) DB::scalar('select count(*) from presences where card_id = ?', [
            $of->id,
        ]) !== $others || Reading::loansOut((int) $of->id) > 0)) {
            $this->violations[] = "{$n}: {$card->number} was signed, and others are gone from it, or something is "
                .'still out';
        }
    }

    private function inspect(int $n, stdClass $of): void
    {
        $login = ['runa', 'tor'][mt_rand(0, 1)];
        $card = Reading::card((int) $of->id);
        $step = array_values(array_filter(
            Reading::steps((int) $of->id),
            static fn(stdClass $s): bool => $s->kind === 'inspection' && $s->state !== 'done',
        ))[0] ?? null;
        $path = $step === null ? 'inspect' : "steps/{$step->no}/inspect";
        $covers = $step === null ? json_decode((string) $card->covers, true) : $step->spec['covers'];
        $me = $this->people[$login];
        $against = array_keys(array_filter([
            'they had a hand in it' => in_array(
                $me,
                Reading::hands((int) $of->id),
                true,
            ) || (int) $card->signed_by === $me,
            'it is to be re-read' => $card->revision !== $card->manual,
        ]));
        $went = $this->ask($n, $login, "cards/{$of->id}/{$path}", [
            'version' => $card->version, 'covers' => $covers, 'stamp' => self::SIGNERS[$login][0], 'pin' => '2741',
        ]) === 200;
        $this->never($went, $against, "{$n}: {$login} inspected {$card->number}");
    }

    private function release(int $n, stdClass $of): void
    {
        $against = Reading::atAircraft((int) $of->aircraft_id);
        if (mt_rand(0, 3) === 0) {
            // Sometimes all but what is at the aircraft is in order.
            $at = gmdate('Y-m-d\TH:i:s\Z', $this->now);
            DB::update(
                "update steps set state = 'done', done_by = ?, done_at = ? where state = 'open' and card_id in "
                    ."(select id from cards where visit_id = ? and state = 'open')",
                [$this->people['bram'], $at, $of->visit_id],
            );
            DB::update(
                "update cards set state = 'closed', signed_by = ?, signed_at = ?, inspected_by = ?, inspected_at = "
                    ."? where visit_id = ? and state = 'open'",
                [$this->people['bram'], $at, $this->people['tor'], $at, $of->visit_id],
            );
            $against = Reading::atAircraft((int) $of->aircraft_id);
        }
        $went = $this->ask($n, 'tor', "release/{$of->visit_id}", ['stamp' => 'X02', 'pin' => '2741']) === 200;
        $this->never($went, $against, "{$n}: visit {$of->visit_id} was released");
        if ($went) {
            // It comes back the next day with the same work, so that the day goes on.
            DB::update("update visits set state = 'in_work', released_at = null where id = ?", [$of->visit_id]);
            DB::delete('delete from releases where visit_id = ?', [$of->visit_id]);
            DB::delete('delete from past_looks where visit_id = ?', [$of->visit_id]);
            DB::update(
                "update cards set state = 'open', signed_by = null, inspected_by = null, begun_at = null, closed_at "
                    .'= null where visit_id = ?',
                [$of->visit_id],
            );
            DB::update(
                "update steps set state = 'open', done_by = null, done_at = null, result = null, started_at = null "
                    .'where card_id in (select id from cards where visit_id = ?)',
                [$of->visit_id],
            );
            DB::update(
                'update circuit_points set stands = 0 where step_id in (select s.id from steps s '
                    .'join cards c on c.id = s.card_id where c.visit_id = ?)',
                [$of->visit_id],
            );
            DB::delete('delete from card_hands where card_id in (select id from cards where visit_id = ?)', [
                $of->visit_id,
            ]);
        }
    }

    private function fix(): void
    {
        $finding = $this->pick(DB::select(
            'select f.id from findings f join cards c on c.id = f.card_id join visits v on v.id = c.visit_id where '
                ."f.state = 'open' and v.state != 'released' and not exists (select 1 from cards x where "
                .'x.finding_id = f.id) and f.aircraft_id in ('
                .implode(',', $this->aircraft).')',
        ));
        if ($finding !== null) {
            DB::update("update findings set state = 'fixed', fixed_how = 'at chance' where id = ?", [$finding->id]);
        }
    }

    private function countIn(int $n): void
    {
        $loan = $this->pick(DB::select(
            'select l.id, l.quantity from tool_loans l join cards c on c.id = l.card_id where l.in_at is null and '
                .'c.aircraft_id in ('
                .implode(',', $this->aircraft).')',
        ));
        if ($loan !== null) {
            $this->ask($n, 'ines', "loans/{$loan->id}/in", ['counted' => (int) $loan->quantity]);
        }
    }
}
