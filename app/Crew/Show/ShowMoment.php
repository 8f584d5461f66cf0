<?php

declare(strict_types=1);

namespace App\Crew\Show;

use App\Crew\Model\Person;
use App\Crew\Model\Role;
use App\Crew\Model\ShiftHours;
use App\Crew\Model\WaitingAuthority;
use App\Crew\Show\View\Moment;
use App\Crew\Show\View\NoticeView;
use App\Shared\Clock;
use App\Shared\Notices;
use Illuminate\Database\Query\Builder;
use Illuminate\Support\Facades\DB;
use Jorvel\Core\Crew\Shift;
use Jorvel\Core\Fleet\FleetState;
use Jorvel\Core\Floor\CardProgress;
use Jorvel\Core\Shared\Instant;

/**
 * What stands across the top for one person: the shift that runs at their base, and the numbers of what waits for them.
 */
final readonly class ShowMoment
{
    private const RELEASED = 'released';

    public function __construct(private Clock $clock, private Notices $notices) {}

    public function for(Person $me): Moment
    {
        return new Moment(
            now: (string) $this->clock->now(),
            zone: $this->clock->zone()->getName(),
            base: $me->base,
            shift: $this->shift(),
            waiting: (object) array_filter($this->waiting($me), static fn(int $n): bool => $n > 0),
            notices: array_map(
                fn(array $n): NoticeView => new NoticeView(
                    $n['id'],
                    $n['said'],
                    $n['link'],
                    $this->clock->local(Instant::parse($n['at'])),
                ),
                $this->notices->unseen($me->id),
            ),
        );
    }

    private function shift(): string
    {
        $now = $this->clock->time($this->clock->now());
        $runs = array_keys(array_filter(
            ShiftHours::byCode(),
            static fn(Shift $s): bool => $s->from <= $now && $now < $s->until,
        ));

        return $runs === [] ? 'between shifts' : implode(' and ', $runs).' shift';
    }

    /** @return array<string, int> by room: what waits for this person, and for nobody else */
    private function waiting(Person $me): array
    {
        $plans = $me->role === Role::Controller;
        $mine = $this->openCards()->whereIn('cards.state', [CardProgress::Open->value, CardProgress::InWork->value])
            ->whereExists(
                static fn(Builder $q)
                    => $q
                        ->from('assignments')
                        ->whereColumn('assignments.card_id', 'cards.id')
                        ->where('assignments.person_id', $me->id),
            )
            ->count();
        $inspects = $me->holds(Role::Inspector, Role::Certifier);

        return [
            'fleet' => $plans ? DB::table('due_sheets')->where('day', (string) $this->clock->today())->whereRaw(
                "json_extract(head, '$.state') = ?",
                [FleetState::Stop->value],
            )->count() : 0,
            'crew' => $me->can('vouch', Person::class)
                ? WaitingAuthority::with('person')->get()
                    ->filter(fn(WaitingAuthority $w): bool => $w->notSecond($me, $this->clock->today()) === null)
                    ->count()
                : 0,
            'floor' => $mine + ($inspects
                ? $this->openCards()->where('cards.state', CardProgress::Signed->value)->count()
                : 0),
            'deferrals' => $plans ? DB::table('findings')->where('state', 'open')->whereNotExists(
                static fn(Builder $q) => $q->from('cards')->whereColumn('cards.finding_id', 'findings.id'),
            )->count() : 0,
            'release' => $me->role === Role::Certifier ? self::worked() : 0,
        ];
    }

    /** Visits whose every card is closed, and that are not released. */
    private static function worked(): int
    {
        $cards = static fn(Builder $q): Builder => $q->from('cards')->whereColumn('cards.visit_id', 'visits.id');

        return DB::table('visits')->where('state', '!=', self::RELEASED)->where('kind', 'visit')
            ->whereExists($cards)
            ->whereNotExists(
                static fn(Builder $q) => $cards($q)->where('cards.state', '!=', CardProgress::Closed->value),
            )
            ->count();
    }

    private function openCards(): Builder
    {
        return DB::table('cards')->join('visits', 'visits.id', '=', 'cards.visit_id')
            ->where('visits.state', '!=', self::RELEASED);
    }
}
