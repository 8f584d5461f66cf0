<?php

declare(strict_types=1);

namespace App\Bench\Show;

use App\Bench\Do\NewRecording;
use App\Bench\Do\ReadRecording;
use App\Bench\Do\Recordings;
use App\Bench\Do\Work\RecordedRun;
use App\Bench\Do\Work\TestSamples;
use App\Bench\Model\Recorder;
use App\Bench\Model\Recording;
use App\Bench\Show\View\AttemptPick;
use App\Bench\Show\View\BeyondView;
use App\Bench\Show\View\ChangeOverView;
use App\Bench\Show\View\GapView;
use App\Bench\Show\View\ModeView;
use App\Bench\Show\View\RecordableView;
use App\Bench\Show\View\RecorderView;
use App\Bench\Show\View\RecordingPreview;
use App\Bench\Show\View\RecordingRow;
use App\Bench\Show\View\RecordingsRoom;
use App\Bench\Show\View\RecordingView;
use App\Bench\Show\View\SignalView;
use App\Bench\Show\View\ThinnedView;
use App\Crew\Model\Person;
use App\Fleet\Model\Aircraft;
use App\Floor\Model\Card;
use App\Floor\Model\TestAttempt;
use App\Library\Model\CardTemplate;
use App\Library\Model\FollowRule;
use App\Shared\Clock;
use App\Shared\Words;
use Jorvel\Core\Bench\ChangeOver;
use Jorvel\Core\Bench\Response;
use Jorvel\Core\Bench\Thinned;
use Jorvel\Core\Bench\Verdict;
use Jorvel\Core\Floor\AttemptState;
use Jorvel\Core\Shared\InputError;
use Jorvel\Core\Shared\Unit;

/** What recorders took: the list, one recording, a stretch of it as it is drawn. */
final readonly class ShowRecordings
{
    /** Recordings that are listed. */
    private const LISTED = 100;

    public function __construct(private Clock $clock) {}

    public function room(Person $me): RecordingsRoom
    {
        $rows = Recording::with(['aircraft', 'attempt'])->orderByDesc('begun_at')->limit(self::LISTED)
            ->get(Recording::WITHOUT_DATA);
        $running = TestAttempt::where('state', AttemptState::Begun)->orderByDesc('id')->get()->groupBy('aircraft_id');
        $beyond = $rows->filter(static fn(Recording $r): bool => $r->found['beyond'] !== [])->count();

        return new RecordingsRoom(
            $rows->isEmpty()
                ? 'No recording yet. Bring in what a recorder took in a run.'
                : Words::count($rows->count(), 'recording').($beyond === 0
                    ? '; no limit was exceeded in any.'
                    : '; in '.Words::count($beyond, 'of them', 'of them').' a limit was exceeded.'),
            array_values($rows->map($this->row(...))->all()),
            array_values(Recorder::with('type')->orderBy('code')->get()->map(static fn(Recorder $r): RecorderView
                => new RecorderView(
                    $r->id,
                    $r->type->code,
                    $r->code,
                    $r->title,
                    $r->version,
                    (string) json_encode($r->mapping, JSON_PRETTY_PRINT | JSON_UNESCAPED_UNICODE),
                ))->all()),
            array_values(Aircraft::with('type')->orderBy('mark')->get()->map(fn(Aircraft $a): RecordableView
                => new RecordableView(
                    $a->mark,
                    $a->type->code,
                    array_values(($running->get($a->id) ?? collect())->map(static fn(TestAttempt $t): AttemptPick
                        => new AttemptPick(
                            $t->id,
                            "{$t->title}, attempt {$t->no}",
                            (string) $t->begun_at,
                        ))->all()),
                ))->all()),
            $me->can('raise', Card::class),
            $me->can('write', CardTemplate::class),
        );
    }

    public function preview(NewRecording $new, ReadRecording $read): RecordingPreview
    {
        return new RecordingPreview(
            Recordings::sentence($read, $new->aircraft->mark),
            array_map(self::gap(...), $read->file->gaps),
            array_map(self::beyond(...), $read->beyond),
        );
    }

    /** @param Recording $r with aircraft and attempt */
    public function row(Recording $r): RecordingRow
    {
        $many = count($r->found['beyond']);

        return new RecordingRow(
            $r->id,
            $r->aircraft->mark,
            $r->name,
            $this->clock->local($r->begun_at),
            round($r->seconds / 60, 1),
            $many === 0 ? 'clear' : 'stop',
            $many === 0 ? 'within limits' : Words::count($many, 'exceedance'),
            $r->attempt === null ? null : "{$r->attempt->title}, attempt {$r->attempt->no}",
        );
    }

    public function one(Recording $r): RecordingView
    {
        $r->load(['aircraft', 'recorder', 'person', 'attempt.card.steps']);
        [$watched, $response, $changes, $why] = $this->judged($r);
        $limits = $this->limits($r);

        return new RecordingView(
            $r->id,
            "{$r->aircraft->mark}, {$r->name}: ".self::sentence(count($r->found['beyond']), $response, $changes),
            $r->aircraft->mark,
            "{$r->recorder->code} {$r->recorder->title}",
            $r->name,
            $this->clock->local($r->begun_at),
            $r->person->name,
            $r->seconds,
            $r->samples,
            array_map(static fn(array $s): SignalView => new SignalView(
                $s['signal'],
                Unit::parse($s['unit'])->label(),
                $limits[$s['signal']][0] ?? null,
                $limits[$s['signal']][1] ?? true,
                $limits[$s['signal']][2] ?? null,
            ), $r->signals),
            array_map(static fn(array $m): ModeView => new ModeView((float) $m['t'], $m['mode']), $r->found['modes']),
            array_map(self::gap(...), $r->found['gaps']),
            array_map(self::beyond(...), $r->found['beyond']),
            $watched,
            $response?->reference,
            $response?->low,
            $response?->high,
            array_map(self::change(...), $changes),
            $why,
            $r->attempt_id,
            $r->attempt?->card_id,
        );
    }

    /** @param list<string> $signals */
    public function thinned(Recording $r, array $signals, float $from, float $to, int $many): ThinnedView
    {
        $known = array_values(array_intersect(array_column($r->signals, 'signal'), $signals));
        $thin = Thinned::of($r->samples($known), $known, $from, $to, $many);

        return new ThinnedView($thin['t'], (object) $thin['low'], (object) $thin['high']);
    }

    /**
     * What the recording says of the change-overs of its test, as its steps would have it.
     *
     * @return array{string|null, Response|null, list<ChangeOver>, string|null} the signal, what is counted from, each
     *   change, why nothing is judged
     */
    private function judged(Recording $r): array
    {
        $card = $r->attempt?->card;
        $transitions = $card === null ? [] : TestSamples::transitions($card, $r->attempt->key);
        foreach ($transitions as $t) {
            $t->setRelation('card', $card);
        }
        if (! isset($transitions[0]->spec['signal'], $transitions[0]->spec['hold'])) {
            return [null, null, [], null];
        }
        $signal = (string) $transitions[0]->spec['signal'];
        $run = RecordedRun::of($r);
        try {
            return [$signal, $run->response($transitions[0]), $run->changes($transitions), null];
        } catch (InputError $e) {
            return [$signal, null, [], ucfirst("{$e->getMessage()}.")];
        }
    }

    /** @param list<ChangeOver> $changes */
    private static function sentence(int $beyond, ?Response $response, array $changes): string
    {
        $said = array_column($changes, 'verdict');

        return match (true) {
            $beyond > 0 => 'a limit was exceeded '.($beyond === 1 ? 'once' : "{$beyond} times").'.',
            $response === null => 'no limit was exceeded.',
            in_array(Verdict::Fail, $said, true) => 'the change-overs go beyond their limit.',
            $said === [] || in_array(Verdict::Invalid, $said, true) => 'the change-overs cannot be judged.',
            default => 'the change-overs hold within their limit.',
        };
    }

    /** @return array<string, array{float, bool, string}> limit, side and position by signal, in the signal's unit */
    private function limits(Recording $r): array
    {
        $tables = [];
        foreach (FollowRule::inForce($r->aircraft->type_id)->get() as $rule) {
            $table = $rule->rule()->exceeded;
            $tables[$rule->code] = $table;
        }
        $out = [];
        foreach ($r->recorder->map()->signals as $s) {
            $table = $s['rule'] === null ? null : $tables[$s['rule']] ?? null;
            if ($table !== null) {
                $out[$s['signal']] = [
                    $table->unit->to($s['unit'], $table->limit), $table->over, (string) $s['position'],
                ];
            }
        }

        return $out;
    }

    private static function change(ChangeOver $c): ChangeOverView
    {
        return new ChangeOverView(
            $c->at,
            $c->to,
            match (true) {
                $c->verdict === Verdict::Fail => 'stop', $c->verdict !== Verdict::Pass => 'waiting',
                $c->unusual => 'watch', default => 'clear',
            },
            ($c->excursion > 0 ? '+' : '').Words::number($c->excursion, 2)
                .($c->settled === null ? '' : ', settles at '.Words::number($c->settled, 1))
                .($c->verdict === Verdict::Invalid ? ', not watched to its end' : '')
                .($c->unusual && $c->verdict === Verdict::Pass ? ', unusual' : ''),
            $c->peakHigh,
            $c->peakLow,
        );
    }

    /** @param array{from: float, to: float, line: int} $g */
    private static function gap(array $g): GapView
    {
        return new GapView((float) $g['from'], (float) $g['to'], $g['line']);
    }

    /** @param array<string, mixed> $b */
    private static function beyond(array $b): BeyondView
    {
        return new BeyondView((float) $b['from'], (float) $b['seconds'], (string) $b['said']);
    }
}
