<?php

declare(strict_types=1);

namespace App\Crew\Show;

use App\Crew\Do\RestRules;
use App\Crew\Model\Person;
use App\Crew\Model\Qualification;
use App\Crew\Model\WaitingAuthority;
use App\Crew\Show\View\EntryView;
use App\Crew\Show\View\LapseView;
use App\Crew\Show\View\PersonRoom;
use App\Crew\Show\View\QualificationAsked;
use App\Crew\Show\View\WaitingView;
use App\Shared\Clock;
use App\Shared\Words;
use Illuminate\Database\Eloquent\ModelNotFoundException;
use Illuminate\Support\Facades\DB;
use Jorvel\Core\Crew\Role as Does;
use Jorvel\Core\Shared\Day;
use Jorvel\Core\Shared\Instant;

/** Somebody with all that is kept about them. */
final readonly class ShowPerson
{
    private const FIELDS = [
        'name' => 'name',
        'stamp' => 'stamp',
        'role' => 'role',
        'base' => 'base',
        'shift' => 'shift',
        'weekdays' => 'days of the week',
        'trainee' => 'trainee',
        'supervisor_id' => 'supervisor',
        'leaves' => 'leaves',
    ];

    public function __construct(
        private Clock $clock,
        private ShowCrew $crew,
        private Lapses $lapses,
        private LastOnes $last,
        private RestRules $rest,
        private PersonChoices $choices,
    ) {}

    public function one(int $id, Person $me): PersonRoom
    {
        $all = Person::with('qualifications')->orderBy('id')->get()->keyBy('id');
        $p = $all[$id] ?? throw (new ModelNotFoundException)->setModel(Person::class, $id);
        $p->load('rotaDays', 'waitingAuthorities');
        $on = $this->lapses->assigned([$p->id])->get($p->id) ?? collect();
        $names = $all->pluck('name', 'id')->all();
        $lapses = $this->lapses->of($p, $on, $this->last->hits($all->toBase()));
        usort(
            $lapses,
            static fn(LapseView $a, LapseView $b): int
                => [$a->hits === [] ? 1 : 0, $a->days ?? -1] <=> [$b->hits === [] ? 1 : 0, $b->days ?? -1],
        );
        $view = $this->crew->view($p, $names[$p->supervisor_id] ?? null, $on->count());

        return new PersonRoom(
            $view,
            $this->sentence($p, $lapses),
            $p->login,
            $p->version,
            $p->weekdays,
            $p->supervisor_id,
            $p->leaves === null ? null : (string) $p->leaves,
            $p->own_pin,
            array_values($p->qualifications->map(fn(Qualification $q): QualificationAsked => new QualificationAsked(
                $this->lapses->view($q),
                $this->lapses->asking($p, $q, $on),
            ))->all()),
            $this->waiting($p, $me, $names),
            // What hits nothing is seen on what they hold.
            array_values(array_filter($lapses, static fn(LapseView $l): bool => $l->hits !== [])),
            $this->rest->ahead($p),
            $this->entries($p, $names),
            $this->choices->all(),
            [
                ...(
                    $me->can('edit', Person::class) ? ['rota', 'edit', ...($me->id === $p->id ? [] : ['qualify'])] : []
                ),
                ...($me->can('vouch', Person::class) && ! $p->own_pin
                    && $p->notSecond($me, $this->clock->today()) === null
                    ? ['vouch'] : []),
            ],
        );
    }

    /**
     * @param array<array-key, string> $names by id
     *
     * @return list<WaitingView> authorities that a second person has not confirmed yet
     */
    private function waiting(Person $p, Person $me, array $names): array
    {
        $may = $me->can('vouch', Person::class);

        return array_values($p->waitingAuthorities->map(fn(WaitingAuthority $w): WaitingView => new WaitingView(
            $w->value,
            Words::qualification('authority', $w->value),
            $w->valid_until === null ? null : (string) $w->valid_until,
            $w->paper,
            $names[$w->entered_by] ?? '',
            $this->clock->local($w->entered_at),
            $may && $w->setRelation('person', $p)->notSecond($me, $this->clock->today()) === null,
        ))->all());
    }

    /** @param list<LapseView> $lapses */
    private function sentence(Person $p, array $lapses): string
    {
        $first = $lapses[0] ?? null;
        $ends = $p->qualifications->pluck('valid_until')->filter()->sort()->values();
        $does = $p->qualifications->where('kind', 'authority')
            ->sortBy(
                static fn(Qualification $q): int
                    => (int) array_search($q->value, array_column(Does::cases(), 'value'), true),
            )
            ->map(static fn(Qualification $q): string => [
                'perform' => 'works cards',
                'duplicate' => 'inspects',
                'certify' => 'certifies',
            ][$q->value] ?? $q->value)
            ->implode(', ');

        return match (true) {
            $p->goneOn($this->clock->today())
                => "{$p->name} left on {$this->clock->words($p->leaves)}; what they signed "
                    .'stands.',
            $first !== null && $first->hits !== [] => "{$p->name} {$first->said}: ".Lapses::told($first->hits).'.',
            $first !== null => "{$p->name} {$first->said}; no planned card is hit.",
            $does === '' => "{$p->name} holds no authority: works no card, inspects and certifies nothing.",
            default => "{$p->name} {$does}".($p->trainee ? ' under supervision' : '').($ends->isEmpty()
                ? '; nothing lapses.'
                : "; everything is valid until {$this->clock->words(Day::parse((string) $ends[0]))}."),
        };
    }

    /**
     * @param array<array-key, string> $names by id
     *
     * @return list<EntryView> the latest first
     */
    private function entries(Person $p, array $names): array
    {
        return array_values(DB::table('records')->where('subject', "person:{$p->id}")
            ->where('what', 'like', 'person.%')
            ->whereNot('what', 'person.signed_in')
            ->orderByDesc('id')
            ->limit(100)
            ->get()
            ->map(fn(object $r): EntryView => new EntryView(
                $this->clock->local(Instant::parse($r->at)),
                $r->who,
                Words::days($this->said($r->what, json_decode($r->data, true), $names), $this->clock->today()),
            ))
            ->all());
    }

    /**
     * @param array<string, mixed> $d
     * @param array<array-key, string> $names
     */
    private function said(string $what, array $d, array $names): string
    {
        $until = static fn(?string $day): string => $day === null ? 'without an end' : "until {$day}";

        return match ($what) {
            'person.entered' => "entered as {$d['role']} {$d['stamp']} at {$d['base']}, {$d['shift']} shift",
            'person.changed' => implode(
                '; ',
                array_map(
                    static fn(string $k, mixed $to): string
                        => self::FIELDS[$k].' '.self::value($k, $d['from'][$k], $names).' → '
                            .self::value($k, $to, $names),
                    array_keys($d['to']),
                    $d['to'],
                ),
            ),
            'person.authority_entered' => Words::qualification($d['kind'], $d['value']).' entered '.$until($d['until'])
                .", by {$d['paper']}; waits for a second person",
            'person.authority_taken_back'
                => Words::qualification($d['kind'], $d['value'])." taken back before it was confirmed: {$d['why']}",
            'person.granted' => Words::qualification(
                $d['kind'],
                $d['value'],
            ).' '.$until($d['until']).", by {$d['paper']}",
            'person.renewed' => Words::qualification($d['kind'], $d['value']).' '
                .'renewed '.$until($d['until']).", was {$until($d['was'])}; by {$d['paper']}",
            'person.withdrawn' => Words::qualification($d['kind'], $d['value'])." withdrawn: {$d['why']}",
            'person.days_set' => (
                $d['shift'] === null ? $d['why'] : "{$d['shift']} shift, {$d['why']}"
            ).", {$d['from']} to {$d['until']}",
            'person.days_cleared' => "the usual week again, {$d['from']} to {$d['until']}",
            'person.secrets_given' => 'a new password and PIN given, until they choose their own',
            'person.pin_code_made' => 'a code made with which they choose their PIN',
            'person.pin_locked' => "the PIN locked after {$d['tries']} wrong ones in a row",
            'person.secrets_chosen' => 'chose '.implode(
                ' and ',
                array_keys(array_filter(['a password' => $d['password'], 'a PIN' => $d['pin']])),
            ),
            default => $what,
        };
    }

    /** @param array<array-key, string> $names */
    private static function value(string $field, mixed $value, array $names): string
    {
        return match (true) {
            $value === null => 'none',
            $field === 'supervisor_id' => $names[$value] ?? 'none',
            is_bool($value) => $value ? 'yes' : 'no',
            is_array($value) => implode(
                ' ',
                array_map(
                    static fn(int $d): string => ['', 'Mon', 'Tue', 'Wed', 'Thu', 'Fri', 'Sat', 'Sun'][$d],
                    $value,
                ),
            ),
            default => (string) $value,
        };
    }
}
