<?php

declare(strict_types=1);

namespace App\Now;

use App\Fleet\Model\Aircraft;
use App\Fleet\Model\AircraftType;
use App\Floor\Model\Assignment;
use App\Floor\Model\Card;
use App\Floor\Model\CardHand;
use App\Floor\Model\Clocking;
use App\Floor\Model\Handover;
use App\Floor\Model\Step;
use App\Library\Model\CardTemplate;
use App\Library\Model\Manual;
use App\Library\Model\ProgrammeItem;
use App\Shared\Clock;
use App\Visits\Model\Visit;
use Illuminate\Database\Eloquent\Collection;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\ModelNotFoundException;
use Illuminate\Database\Query\Builder;
use Illuminate\Support\Facades\DB;
use Jorvel\Core\Floor\Acts;
use Jorvel\Core\Floor\Handling;
use Jorvel\Core\Floor\How;
use Jorvel\Core\Floor\InTest;
use Jorvel\Core\Floor\StepProgress;
use Jorvel\Core\Floor\Touch;
use Jorvel\Core\Library\Applies;
use Jorvel\Core\Library\Flowing;
use Jorvel\Core\Library\Steps;
use Jorvel\Core\Library\Subject;
use Jorvel\Core\Now\CardNow;
use Jorvel\Core\Now\CardRef;
use Jorvel\Core\Now\StepNow;

/** The one maker of the picture of a card, with all that is at its aircraft. */
final readonly class LoadCard
{
    /**
     * What a card belongs to, with the columns that are read: a template without its steps, which the card has copied.
     */
    public const ONE = [
        'visit' => [Visit::class, [
            'id', 'aircraft_id', 'title', 'bay', 'start', 'end', 'state', 'kind', 'released_at', 'flight', 'between',
        ]],
        'aircraft' => [Aircraft::class, [
            'id', 'mark', 'type_id', 'fleet_id', 'base', 'entry_date', 'entry_counters', 'counters', 'counters_as_of',
            'rates', 'conditions', 'week', 'effectivity', 'floor_count', 'options',
        ]],
        'type' => [
            AircraftType::class,
            ['id', 'code', 'name', 'arrangement', 'phase', 'inspected', 'outline', 'systems'],
        ],
        'template' => [
            CardTemplate::class,
            [
                'id',
                'type_id',
                'manual_id',
                'code',
                'title',
                'chapter',
                'revision',
                'skill',
                'hours',
                'zone',
                'independent_inspection',
                'section',
                'method',
                'stays_until',
                'unchanged_until',
                'version',
                'of_id',
            ],
        ],
        'manual' => [Manual::class, ['id', 'type_id', 'code', 'title', 'revision']],
        'item' => [ProgrammeItem::class, ['id', 'code', 'title', 'chapter']],
    ];

    /** What belongs to it: the condition by which, and the columns. */
    public const MANY = [
        'assignments' => [
            Assignment::class,
            'assignments.card_id = cards.id',
            ['id', 'card_id', 'person_id', 'role', 'under_id'],
        ],
        'hands' => [CardHand::class, 'card_hands.card_id = cards.id', ['id', 'card_id', 'person_id', 'since']],
        'clockings' => [
            Clocking::class,
            'clockings.card_id = cards.id',
            ['id', 'card_id', 'person_id', 'since', 'until'],
        ],
        'handovers' => [
            Handover::class,
            'handovers.card_id = cards.id',
            ['id', 'card_id', 'person_id', 'state', 'said', 'at', 'taken_by', 'taken_at'],
        ],
        'waitsFor' => [
            Card::class,
            'before.id in (select after_id from card_waits where card_waits.card_id = cards.id)',
            ['id', 'number', 'title', 'state'],
        ],
    ];

    public function __construct(private LoadOnAircraft $aircraft, private Clock $clock, private Directory $people) {}

    public function __invoke(int $cardId): CardFile
    {
        return $this->of($this->card($cardId));
    }

    /** A card's picture anew, of the rows that are at hand, after something happened at its aircraft. */
    public function again(CardFile $file): CardFile
    {
        $card = $file->card;
        $row = (array) self::many(DB::table('cards'))->where('cards.id', $card->id)->first();
        $card->setRelations([...$card->getRelations(), ...self::collect($row)]);
        $card->load('steps');

        return $this->of($card);
    }

    /** Everything of the card that its picture needs: its own rows in one query, its steps, and its people. */
    private function card(int $cardId): Card
    {
        $row = (array) (
            $this->query()
                ->where('cards.id', $cardId)
                ->first() ?? throw (new ModelNotFoundException)
                ->setModel(Card::class, [$cardId])
        );
        $one = [];
        foreach (self::ONE as $name => [$class, $columns]) {
            $values = [];
            foreach ($columns as $column) {
                $values[$column] = $row["{$name}__{$column}"];
                unset($row["{$name}__{$column}"]);
            }
            $one[$name] = $values['id'] === null ? null : (new $class)->newFromBuilder($values);
        }
        $many = self::collect($row);
        $one['aircraft']?->setRelation('type', $one['type']);
        $one['template']?->setRelation('manual', $one['manual']);
        unset($one['type'], $one['manual']);
        $card = (new Card)->newFromBuilder($row);
        $card->setRelations([...$one, ...$many]);
        $card->load('steps');

        return $card;
    }

    private function query(): Builder
    {
        $query = DB::table('cards')->join('visits as visit', 'visit.id', '=', 'cards.visit_id')
            ->join('aircraft', 'aircraft.id', '=', 'cards.aircraft_id')
            ->join('aircraft_types as type', 'type.id', '=', 'aircraft.type_id')
            ->join('card_templates as template', 'template.id', '=', 'cards.template_id')
            ->join('manuals as manual', 'manual.id', '=', 'template.manual_id')
            ->leftJoin('programme_items as item', 'item.id', '=', 'cards.item_id')
            ->select('cards.*');
        foreach (self::ONE as $name => [1 => $columns]) {
            $query->addSelect(array_map(static fn(string $c): string => "{$name}.{$c} as {$name}__{$c}", $columns));
        }

        return self::many($query);
    }

    private static function many(Builder $query): Builder
    {
        foreach (self::MANY as $name => [$class, $on, $columns]) {
            $table = (new $class)->getTable();
            $as = $table === 'cards' ? 'before' : $table;
            $pairs = implode(', ', array_map(static fn(string $c): string => "'{$c}', {$as}.{$c}", $columns));
            $query->selectRaw(
                "(select json_group_array(json_object({$pairs})) from (select * from {$table} as {$as} where {$on} "
                    ."order by id) as {$as}) as {$name}__all",
            );
        }

        return $query;
    }

    /**
     * @param array<string, mixed> $row from which they are taken out
     *
     * @return array<string, Collection<int, covariant Model>>
     */
    private static function collect(array &$row): array
    {
        $many = [];
        foreach (self::MANY as $name => [$class]) {
            $of = json_decode($row["{$name}__all"], true, 8, JSON_THROW_ON_ERROR);
            unset($row["{$name}__all"]);
            $many[$name] = (new $class)->newCollection(array_map(
                static fn(array $r): Model => (new $class)->newFromBuilder($r),
                $of,
            ));
        }
        $many['handovers'] = $many['handovers']->reverse()->values();

        return $many;
    }

    private function of(Card $card): CardFile
    {
        $card->setRelation('openHandover', $card->handovers->firstWhere('taken_at', null));
        $card->steps->each(static fn(Step $s) => $s->setRelation('card', $card));
        $this->people->attach([
            'person' => [$card->assignments, 'person_id'],
            'left:person' => [$card->handovers, 'person_id'],
        ]);
        $this->people->qualifications($card->assignments, 'person_id');
        $first = $card->mustWaitFor();
        $subject = self::subject($card);

        return new CardFile($card, new CardNow(
            self::ref($card),
            new Touch($card->systems, $card->zone),
            $card->independent_inspection,
            $card->revisionCurrent(),
            array_values($card->steps->map(static fn(Step $s): StepNow => self::step($s, $subject))->all()),
            array_map(strval(...), $card->performers()),
            array_values(array_map(
                strval(...),
                $card->steps->where('kind', 'inspection')->pluck('done_by')->filter()->unique()->all(),
            )),
            $card->openHandover === null ? null : (string) $card->openHandover->person_id,
            $first === null ? null : new CardRef(
                (string) $first->id,
                $first->number,
                $first->title,
                $first->state,
            ),
            $this->aircraft->on($card->aircraft_id),
            $card->visit->daysEarly($this->clock->today()),
            $card->visit->state === Visit::RELEASED,
        ), $card->aircraft->floor_count);
    }

    /** What its steps are asked to apply to: the aircraft, and what was answered so far. */
    private static function subject(Card $card): Subject
    {
        $answers = [];
        foreach ($card->steps as $step) {
            $id = $step->spec['id'] ?? null;
            if ($id !== null && $step->settled()) {
                $answers[$id] = $step->state === Step::DONE
                    ? (string) ($step->result['answer'] ?? $step->result['counted'] ?? 'done')
                    : 'not_applicable';
            }
        }

        $craft = $card->aircraft;

        return new Subject($craft->mark, $craft->effectivity, $craft->options ?? [], $answers);
    }

    /** @param Subject|null $on null where nobody asks whether it applies */
    public static function step(Step $step, ?Subject $on = null): StepNow
    {
        $spec = $step->spec;
        $acts = $spec['acts'] ?? null;
        $each = $spec['each'] ?? null;

        return new StepNow(
            $step->no,
            $step->kind,
            $step->title,
            $step->settled(),
            $step->started_at === null ? null : $step->started_at,
            $acts === null ? null : Acts::on(How::from($acts['how']), $acts['systems'], $acts['with'] ?? []),
            $spec['ends'] ?? [],
            $each === null ? $spec['group'] ?? null : "each {$each['title']}",
            $each['position'] ?? null,
            $step->state === StepProgress::NotApplicable,
            $on === null || ! isset($spec['applies'])
                ? null
                : Applies::of($spec['applies'])->unmet($on, $each['position'] ?? null),
            Handling::of($spec),
            $spec['id'] ?? null,
            self::restsOn($spec),
            InTest::of($spec),
            $step->state === StepProgress::NotReached,
        );
    }

    /**
     * @param array<string, mixed> $spec
     *
     * @return list<string> ids of the steps whose answers, marks or readings it uses
     */
    private static function restsOn(array $spec): array
    {
        $names = [
            $spec['mark'] ?? null, $spec['applies']['answer']['step'] ?? null,
            is_string($spec['reference'] ?? null) ? $spec['reference'] : null,
            $spec['partner']['reference'] ?? null, is_string($spec['from'] ?? null) ? $spec['from'] : null,
        ];
        foreach (Flowing::expressions($spec['reading']['limit'] ?? []) as $expression) {
            foreach ($expression->names as $name) {
                $names[] = isset($spec['each']) ? Steps::at($name, $spec['each']['position']) : null;
                $names[] = $name;
            }
        }

        return array_values(array_filter($names));
    }

    private static function ref(Card $card): CardRef
    {
        return new CardRef(
            (string) $card->id,
            $card->number,
            $card->title,
            $card->state,
            (string) $card->visit_id,
            $card->visit->title,
        );
    }
}
