<?php

declare(strict_types=1);

namespace App\Release\Show;

use App\Crew\Model\Person;
use App\Floor\FloorWords;
use App\Floor\Model\Card;
use App\Now\LoadAircraft;
use App\Now\LoadVisit;
use App\Release\ReleaseWords;
use App\Release\Show\View\BlockerView;
use App\Shared\Clock;
use App\Shared\Memo;
use App\Stores\Do\Recalls;
use App\Visits\Model\Visit;
use Illuminate\Database\Eloquent\Builder;
use Jorvel\Core\Crew\Role;
use Jorvel\Core\Now\Acting;
use Jorvel\Core\Now\CardRef;
use Jorvel\Core\Now\DeviceOn;
use Jorvel\Core\Now\LoanOut;
use Jorvel\Core\Now\NotWhole;
use Jorvel\Core\Now\OnAircraft;
use Jorvel\Core\Now\PersonAt;
use Jorvel\Core\Release\CardState;
use Jorvel\Core\Release\Certifier;
use Jorvel\Core\Release\Ready;
use stdClass;

/** Gathers the state of a visit for the core's `release`, and leads from each blocker to its place. */
final readonly class Readiness
{
    private const OF_CARDS = [
        'card_open',
        'steps_open',
        'duplicate_missing',
        'not_independent',
        'recheck_open',
        'revision_stale',
    ];

    public function __construct(
        private Clock $clock,
        private Recalls $recalls,
        private LoadAircraft $load,
        private Memo $memo,
    ) {}

    /** @return Builder<Visit> with everything {@see blockers()} reads */
    public function query(): Builder
    {
        return Visit::with([
            'aircraft' => static fn($q) => $q->with(LoadAircraft::with()),
            'cards.steps.runs', 'cards.template.manual', 'cards.item',
            'cards.readings' => static fn($q) => $q->where('stands', true),
            'cards.assignments', 'cards.hands', 'cards.rechecks.byCard',
        ]);
    }

    /**
     * @param Role $as what whoever signs must be allowed to
     * @param string|null $skill that goes with it
     *
     * @return list<BlockerView> empty when it may be released by this person
     */
    public function blockers(Visit $visit, Person $certifier, Role $as = Role::Certify, ?string $skill = null): array
    {
        $aircraft = $visit->aircraft;
        $unfit = $certifier->qualified()->unfit($as->value, $aircraft->type->code, $skill, $this->clock->today());
        $lapsed = $unfit === 'no_authority' || $unfit === "expired:{$as->value}";
        $doubt = $this->recalls->unopened($aircraft->id)->keyBy('card_id');
        $now = $this->load->withoutDue($aircraft);
        $cards = $visit->cards->map(
            static fn(Card $c): CardState => LoadVisit::certified($c, $doubt->get($c->id)?->tool),
        );
        // Cards of earlier visits, closed long ago, whose readings have come into doubt since.
        $earlier = $doubt->except($visit->cards->modelKeys())
            ->map(static fn(stdClass $d): CardState => CardState::inDoubt(
                (string) $d->card_id,
                "what {$d->tool} read",
            ));

        return $this->views($visit, $now->on, $certifier, Ready::blockers(
            $now,
            (string) $visit->id,
            [...array_values($cards->all()), ...array_values($earlier->all())],
            $visit->cards->flatMap(static fn(Card $c) => $c->readings)->pluck('verdict', 'id')->all(),
            new Certifier((string) $certifier->id, ! $lapsed, $unfit === null || $lapsed),
            $this->clock->now(),
        ));
    }

    /**
     * A line for each card or thing, however many codes it has.
     *
     * @param list<array{code: string, id: string}> $found
     *
     * @return list<BlockerView>
     */
    private function views(Visit $visit, OnAircraft $on, Person $certifier, array $found): array
    {
        $lines = [];
        foreach ($found as $b) {
            $lines[(in_array($b['code'], self::OF_CARDS, true) ? 'card' : $b['code']).':'.$b['id']][] = $b['code'];
        }

        return array_map(
            fn(string $key, array $codes): BlockerView => $this->view(
                $visit,
                $on,
                $certifier,
                $codes,
                (int) substr((string) strrchr($key, ':'), 1),
            ),
            array_keys($lines),
            array_values($lines),
        );
    }

    /** @param non-empty-list<string> $codes */
    private function view(Visit $visit, OnAircraft $on, Person $certifier, array $codes, int $id): BlockerView
    {
        [$title, $link] = match ($codes[0]) {
            'person_at' => self::person($on, $id),
            'system_live' => $this->live($on, $id),
            'begun_elsewhere' => self::elsewhere($on, $id),
            'reading_bad' => $this->reading($visit, $id),
            'finding_open', 'deferral_invalid' => [
                'Finding '.$visit->aircraft->findings->firstWhere('id', $id)?->number,
                '/deferrals',
            ],
            'safing_left' => self::device($on, $id),
            'not_authorised' => [$certifier->name, '/crew'],
            'tool_out' => self::loan($on, $id),
            'part_missing' => self::missing($visit, $id),
            'not_whole' => $this->notWhole($visit, $on, $id),
            default => in_array('recheck_open', $codes, true) ? $this->recheck($visit, $id) : $this
                ->cardName($visit, $id),
        };

        return new BlockerView(
            $codes[0],
            $codes,
            $title,
            in_array($codes[0], ['system_live', 'not_whole'], true) ? '' : ReleaseWords::blocker($codes),
            $link,
        );
    }

    /**
     * @template T of PersonAt|Acting|CardRef|LoanOut|DeviceOn
     *
     * @param list<T> $things
     *
     * @return T
     */
    private static function of(array $things, int $id): object
    {
        return collect($things)->firstOrFail(static fn(object $t): bool => $t->id === (string) $id);
    }

    /** @return array{string, string} */
    private static function person(OnAircraft $on, int $id): array
    {
        $p = self::of($on->people, $id);

        return ["{$p->name}, on card {$p->card->number} {$p->card->title},", "/floor/{$p->card->id}"];
    }

    /** @return array{string, string} */
    private function live(OnAircraft $on, int $id): array
    {
        $a = self::of($on->acting, $id);

        return [ReleaseWords::live($a, $this->clock->time($a->since)), "/floor/{$a->card->id}?step={$a->step}"];
    }

    /** @return array{string, string} */
    private static function elsewhere(OnAircraft $on, int $id): array
    {
        $c = self::of($on->begun, $id);

        return ["Card {$c->number}, {$c->title}, of \"{$c->visit}\",", "/floor/{$c->id}"];
    }

    /** @return array{string, string} */
    private static function missing(Visit $visit, int $id): array
    {
        $gone = $visit->aircraft->emptied->firstOrFail('id', $id);

        return ["{$gone->component->name()}, {$gone->position},", "/fleet/{$visit->aircraft->mark}"];
    }

    /** @return array{string, string} what is not whole, with what happened to it; the register has what proves it */
    private function notWhole(Visit $visit, OnAircraft $on, int $id): array
    {
        $open = collect($on->notWhole())->firstOrFail(static fn(NotWhole $n): bool => $n->last->id === $id);
        $said = FloorWords::disturbed($open->last, $this->clock->time($open->last->at));
        $last = substr($said, strlen($open->what) + 2);

        return [
            ucfirst(FloorWords::notWhole($open))." ({$last})",
            "/floor/registers/{$visit->aircraft->mark}",
        ];
    }

    /** @return array{string, string} the tool's page while nobody opened the re-checks, the card's otherwise */
    private function recheck(Visit $visit, int $id): array
    {
        $doubt = $this->recalls->unopened($visit->aircraft_id)->firstWhere('card_id', $id);

        return $doubt === null ? $this->cardName($visit, $id) : [
            "Card {$doubt->number}, {$doubt->title}, read with {$doubt->tool}, which is recalled,",
            "/stores/tools/{$doubt->tool}",
        ];
    }

    /** @return array{string, string} */
    private function cardName(Visit $visit, int $id): array
    {
        $card = $this->memo->of(
            "cards of {$visit->id}",
            ['cards'],
            static fn(): array => $visit->cards->keyBy('id')->all(),
        )[$id] ?? null;

        return ["Card {$card?->number}, {$card?->title},", "/floor/{$id}"];
    }

    /** @return array{string, string} */
    private function reading(Visit $visit, int $id): array
    {
        $reading = $visit->cards->flatMap(static fn(Card $c) => $c->readings)->firstWhere('id', $id);

        return ["Reading \"{$reading?->point}\", {$reading?->value} {$reading?->unit},", "/floor/{$reading?->card_id}"];
    }

    /** @return array{string, string} */
    private static function loan(OnAircraft $on, int $id): array
    {
        $loan = self::of($on->loans, $id);

        return [ucfirst(FloorWords::loan($loan)).', out on card '.$loan->card->number.',', '/stores'];
    }

    /** @return array{string, string} */
    private static function device(OnAircraft $on, int $id): array
    {
        $device = self::of($on->devices, $id);

        return ["{$device->kind}, {$device->place},", "/floor/{$device->card->id}"];
    }
}
