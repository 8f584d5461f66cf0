<?php

declare(strict_types=1);

namespace App\Release\Show;

use App\Crew\Model\Person;
use App\Floor\Model\Card;
use App\Now\LoadAircraft;
use App\Now\VisitDoubts;
use App\Release\Model\Certificate;
use App\Release\ReleaseWords;
use App\Release\Show\View\BlockerView;
use App\Release\Show\View\ReleaseRow;
use App\Release\Show\View\ReleasesView;
use App\Release\Show\View\ReleaseView;
use App\Shared\Clock;
use App\Visits\Model\Visit;
use Illuminate\Support\Facades\DB;
use Jorvel\Core\Shared\Instant;

/** What the room Release shows: what is on its way out, then what was signed, the newest first. */
final readonly class ShowRelease
{
    private const MOST = 50;

    public function __construct(
        private Readiness $readiness,
        private LoadAircraft $load,
        private Clock $clock,
        private VisitDoubts $doubts,
    ) {}

    /**
     * @param string $find words in the mark, the title or the certificate's number of what was released; all where
     *   empty
     */
    public function all(Person $me, string $find = ''): ReleasesView
    {
        $visits = $this->readiness->query()
            ->with('plan')
            ->where('state', '!=', Visit::RELEASED)
            ->orderBy('end')
            ->orderBy('id')
            ->get();
        $this->load->readOn($visits->pluck('aircraft'));
        $open = array_values($visits->map(fn(Visit $v): ReleaseRow => $this->row(
            $v,
            $this->work($this->readiness->blockers($v, $me)),
        ))->all());
        $ready = array_column(array_filter($open, static fn(ReleaseRow $r): bool => $r->state === 'watch'), 'mark');
        [$released, $more] = $this->released($find);

        return new ReleasesView(
            ReleaseWords::room($ready, $open !== [] || $released !== []),
            [...$open, ...$released],
            $more,
        );
    }

    private function row(Visit $v, int $points): ReleaseRow
    {
        return new ReleaseRow(
            id: $v->id,
            mark: $v->aircraft->mark,
            type: $v->aircraft->type->code,
            title: $v->title,
            end: (string) $v->end,
            state: $points === 0 ? 'watch' : 'stop',
            blockers: $points,
            number: null,
            said: $points === 0 ? 'ready for the certifier' : ReleaseWords::points($points),
            when: $this->doubts->late($v) ?? 'leaves '.$this->clock->words($v->end),
        );
    }

    /** @return array{list<ReleaseRow>, int} the newest, and how many more there are */
    private function released(string $find): array
    {
        $query = DB::table('releases')->join('visits', 'visits.id', '=', 'releases.visit_id')
            ->join('aircraft', 'aircraft.id', '=', 'visits.aircraft_id')
            ->join('aircraft_types', 'aircraft_types.id', '=', 'aircraft.type_id');
        foreach (preg_split('/\s+/u', trim($find), -1, PREG_SPLIT_NO_EMPTY) ?: [] as $word) {
            $like = '%'.addcslashes($word, '%_\\').'%';
            $query->whereRaw(
                "(aircraft.mark || ' ' || visits.title || ' ' || releases.number) like ? escape '\\'",
                [$like],
            );
        }
        $count = $query->count();
        $rows = $query->orderByDesc('releases.at')->orderByDesc('releases.id')->limit(self::MOST)
            ->get([
                'visits.id',
                'aircraft.mark',
                'aircraft_types.code',
                'visits.title',
                'visits.end',
                'releases.number',
                'releases.at',
            ]);

        return [array_values($rows->map(fn(\stdClass $r): ReleaseRow => new ReleaseRow(
            id: (int) $r->id,
            mark: $r->mark,
            type: $r->code,
            title: $r->title,
            end: $r->end,
            state: 'clear',
            blockers: 0,
            number: $r->number,
            said: "released, {$r->number}",
            when: 'left '.$this->clock->words(Instant::parse($r->at)->dayIn($this->clock->zone())),
        ))->all()), max(0, $count - self::MOST)];
    }

    public function one(int $id, Person $me): ReleaseView
    {
        $visit = $this->readiness->query()->findOrFail($id);
        $certificate = Certificate::with('person')->firstWhere('visit_id', $id);
        $blockers = $certificate === null ? $this->readiness->blockers($visit, $me) : [];
        $mark = $visit->aircraft->mark;

        return new ReleaseView(
            id: $visit->id,
            mark: $mark,
            type: $visit->aircraft->type->code,
            title: $visit->title,
            state: $visit->state->value,
            sentence: $certificate === null
                ? ReleaseWords::standing($mark, $blockers)
                : ReleaseWords::released($mark, $certificate->number),
            verdict: $blockers === [] ? 'ready' : 'blocked',
            blockers: $blockers,
            items: array_values($visit->cards->map(static fn(Card $c): string => "{$c->number} {$c->title}")->all()),
            number: $certificate?->number,
            certifier: $certificate === null
                ? null
                : "{$certificate->person->name} ({$certificate->person->stamp}), "
                .$this->clock->local($certificate->at),
            may: $me->can('release', Visit::class),
            moved: array_map(
                static fn(array $m): string => "{$m['code']} {$m['title']}: next {$m['next']}",
                $certificate->moved ?? [],
            ),
            statement: $certificate->said['statement'] ?? ReleaseWords::statement(
                $mark,
                $visit->title,
                $visit->cards->count(),
            ),
        );
    }

    /** @param list<BlockerView> $blockers */
    private function work(array $blockers): int
    {
        return count(array_filter($blockers, static fn(BlockerView $b): bool => $b->code !== 'not_authorised'));
    }
}
