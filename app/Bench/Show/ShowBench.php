<?php

declare(strict_types=1);

namespace App\Bench\Show;

use App\Bench\Model\Recording;
use App\Bench\Show\View\AttemptDetail;
use App\Bench\Show\View\AttemptStepView;
use App\Bench\Show\View\BenchRow;
use App\Bench\Show\View\BenchView;
use App\Bench\Show\View\TestRow;
use App\Floor\Model\Step;
use App\Floor\Model\TestAttempt;
use App\Floor\TestStepWords;
use App\Floor\TestWords;
use App\Shared\Clock;
use App\Shared\Words;
use App\Visits\Model\Visit;
use Jorvel\Core\Floor\TestPart;
use Jorvel\Core\Shared\Day;
use Jorvel\Core\Shared\Instant;
use Jorvel\Core\Shared\Unit;

/** The room Bench, and any past attempt as it was. */
final readonly class ShowBench
{
    /** Attempts that are looked at for those of today. */
    private const LATE = 200;

    /** Attempts before today that the room itself lists; all are in {@see PastTests}. */
    private const BEFORE = 20;

    public function __construct(
        private Clock $clock,
        private Trends $trends,
        private ShowRecordings $recordings,
        private PastTests $past,
    ) {}

    public function room(): BenchView
    {
        $verdicts = Step::with(['card.aircraft'])->where('kind', 'verdict')
            ->whereHas('card.visit', static fn($q) => $q->where('state', '!=', Visit::RELEASED))
            ->orderBy('card_id')->orderBy('no')->get();
        $attempts = TestAttempt::with(['card.aircraft', 'beginner', 'breaker', 'ender'])->orderByDesc('id')
            ->limit(self::LATE)->get(TestAttempt::LISTED);
        $last = TestAttempt::whereIn('card_id', $verdicts->pluck('card_id')->unique())->where('stands', true)
            ->with(['beginner', 'breaker', 'ender'])->orderBy('no')->get(TestAttempt::LISTED)
                ->keyBy(static fn(TestAttempt $a): string => "{$a->card_id} {$a->key}");
        $open = $verdicts->filter(static fn(Step $s): bool => ! $s->settled());
        $rows = $open->map(
            fn(Step $s): TestRow => $this->test($s, $last->get("{$s->card_id} {$s->spec['test']['key']}")),
        );
        $failed = $rows->filter(static fn(TestRow $r): bool => $r->attemptId !== null && $r->look !== 'waiting');
        $today = $this->clock->today();
        $on = fn(TestAttempt $a): Day => $a->begun_at->dayIn($this->clock->zone());

        return new BenchView(
            self::sentence($open->count(), $failed->count()),
            array_values($rows->reject(static fn(TestRow $r): bool => $failed->contains($r))->all()),
            array_values($attempts->filter(static fn(TestAttempt $a): bool => $on($a)->number === $today->number)
                ->map($this->past->row(...))->all()),
            array_values($failed->all()),
            array_values($attempts->filter(static fn(TestAttempt $a): bool => $on($a)->number < $today->number)
                ->take(self::BEFORE)->map($this->past->row(...))->all()),
            array_slice(array_values(array_filter(
                $this->trends->rows(),
                static fn(View\TrendRow $r): bool => $r->date !== null,
            )), 0, Trends::FIRST),
            $this->sheets(),
        );
    }

    private static function sentence(int $open, int $failed): string
    {
        return match (true) {
            $failed > 0 => Words::count($failed, 'test').' did not pass and '.($failed === 1 ? 'waits' : 'wait')
                .' for a new attempt; '
                .Words::count($open - $failed, 'test').' to run.',
            $open > 0 => Words::count($open, 'test').' to run.',
            default => 'Nothing to test now. The cards of a visit bring their tests here.',
        };
    }

    private function test(Step $verdict, ?TestAttempt $last): TestRow
    {
        $state = $last?->state;

        return new TestRow(
            $verdict->card_id,
            $verdict->card->number,
            $verdict->no,
            $verdict->card->aircraft->mark,
            $verdict->spec['system'],
            $verdict->spec['test']['title'],
            $state === null ? 'waiting' : TestWords::look($state),
            $state === null ? 'Not begun' : "Attempt {$last->no} ".TestWords::state($state),
            $last === null ? '' : TestWords::attempt($last, $this->clock),
            $last?->id,
            $last?->finding_id,
        );
    }

    /** @return list<BenchRow> rigging sheets, and tests of one step, on open cards */
    private function sheets(): array
    {
        return array_values(Step::with(['card.aircraft', 'runs'])->whereIn('kind', ['test', 'rig', 'sheet'])
            ->whereHas('card.visit', static fn($q) => $q->where('state', '!=', Visit::RELEASED))
            ->orderBy('card_id')->orderBy('no')->get()
            ->filter(static fn(Step $s): bool => ! isset($s->spec['test']))
            ->map(static fn(Step $s): BenchRow => new BenchRow(
                $s->card_id,
                $s->card->number,
                $s->card->aircraft->mark,
                $s->no,
                $s->kind,
                $s->title,
                $s->settled() ? 'clear' : 'waiting',
                $s->settled() ? 'done' : ($s->runs->isNotEmpty() ? "run {$s->runs->count()} in hand" : 'not begun'),
            ))->all());
    }

    public function one(TestAttempt $a): AttemptDetail
    {
        $a->load(['card.aircraft', 'beginner', 'breaker', 'ender', 'finding']);
        $kept = collect($a->kept ?? []);
        $recordings = Recording::with(['aircraft', 'attempt'])->where('attempt_id', $a->id)->orderBy('id')
            ->get(Recording::WITHOUT_DATA);

        return new AttemptDetail(
            $a->id,
            "{$a->title} on {$a->card->aircraft->mark}: attempt {$a->no} ".TestWords::state($a->state).'.'
                .($a->stands ? '' : ' It no longer stands: something that it rested on was done again.'),
            $a->title,
            $a->card->aircraft->mark,
            $a->card_id,
            $a->card->number,
            $a->no,
            TestWords::look($a->state),
            ucfirst(TestWords::state($a->state)),
            "{$a->beginner->name}, ".$this->clock->local($a->begun_at),
            $a->ended_at === null ? null : trim("{$a->ender?->name}, ".$this->clock->local($a->ended_at), ', '),
            $a->broken_at === null
                ? null
                : "{$a->breaker?->name}, ".$this->clock->local($a->broken_at).": {$a->broken_why}",
            $a->stands,
            array_map(static fn(array $c): string => "{$c['title']}: {$c['said']}", $a->conditions),
            array_values($kept->map(fn(array $s): AttemptStepView => $this->step($s))->all()),
            array_values($recordings->map($this->recordings->row(...))->all()),
            $a->finding_id,
            $a->finding?->number,
        );
    }

    /** @param array<string, mixed> $kept */
    private function step(array $kept): AttemptStepView
    {
        $step = (new Step)->forceFill(['kind' => $kept['kind'], 'title' => $kept['title'], 'spec' => $kept['spec']]);
        $verdict = $kept['result']['verdict'] ?? 'pass';
        $reached = $kept['state'] !== 'not_reached';

        return new AttemptStepView(
            (int) $kept['no'],
            $kept['title'],
            match (TestPart::from($kept['part'])) {
                TestPart::Setup => 'Set up', TestPart::Restore => 'Put back', default => 'Test',
            },
            match (true) {
                ! $reached || $kept['state'] === 'not_applicable' => 'waiting', $verdict !== 'pass' => 'stop',
                default => 'clear',
            },
            match (true) {
                ! $reached => 'Not reached', $kept['state'] === 'not_applicable' => 'Not applicable',
                $verdict !== 'pass' => 'Not good', default => 'Done',
            },
            [
                ...$reached ? [] : [(string) ($kept['result']['why'] ?? '')],
                ...array_map(static fn(array $r): string => TestStepWords::place($step, $r['point']).' '
                    .Words::number((float) $r['value'], 3).' '.Unit::parse($r['unit'])->label()
                    .($r['kind'] === 'reading' ? '' : ', '.str_replace('_', ' ', $r['kind']))
                    .($r['verdict'] === 'pass' ? '' : ", {$r['verdict']}")
                    .($r['tool'] === null ? '' : ", {$r['tool']}"), $kept['readings']),
                ...TestStepWords::came($step, $kept['result']),
                ...isset($kept['result']['said']) ? [(string) $kept['result']['said']] : [],
            ],
            $kept['by'] === null
                ? null
                : $kept['by'].($kept['at'] === null ? '' : ', '.$this->clock->local(Instant::parse($kept['at']))),
        );
    }
}
