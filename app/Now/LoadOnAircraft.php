<?php

declare(strict_types=1);

namespace App\Now;

use Illuminate\Database\Query\Builder;
use Illuminate\Support\Facades\DB;
use Jorvel\Core\Floor\CardProgress;
use Jorvel\Core\Floor\DisturbanceAct;
use Jorvel\Core\Floor\DisturbedHow;
use Jorvel\Core\Floor\How;
use Jorvel\Core\Floor\Proof;
use Jorvel\Core\Floor\Touch;
use Jorvel\Core\Now\Acting;
use Jorvel\Core\Now\CardRef;
use Jorvel\Core\Now\DeviceOn;
use Jorvel\Core\Now\Disturbance;
use Jorvel\Core\Now\LoanOut;
use Jorvel\Core\Now\OnAircraft;
use Jorvel\Core\Now\PersonAt;
use Jorvel\Core\Shared\Instant;
use stdClass;

/**
 * The one maker of what is at an aircraft: every presence, device, act, loan and begun card of it, whatever visit they
 * belong to.
 */
final class LoadOnAircraft
{
    private const CARD = [
        'cards.aircraft_id', 'cards.id as card_id', 'cards.number', 'cards.title as card_title',
        'cards.state as card_state', 'cards.zone',
        'cards.systems as card_systems', 'cards.visit_id', 'visits.title as visit_title',
    ];

    public function on(int $aircraftId): OnAircraft
    {
        return $this->all([$aircraftId])[$aircraftId];
    }

    /**
     * @param list<int> $ids of aircraft
     *
     * @return array<int, OnAircraft> by aircraft; one query, however many there are
     */
    public function all(array $ids): array
    {
        $ids = array_values(array_unique($ids));
        $rows = $this->people($ids)
            ->unionAll($this->devices($ids))
            ->unionAll($this->acting($ids))
            ->unionAll($this->loans($ids))
            ->unionAll($this->begun($ids))
            ->unionAll($this->disturbed($ids, false))
            ->unionAll($this->disturbed($ids, true))
            ->orderBy('placed')->orderBy('row_id')->get();
        $on = array_fill_keys($ids, [
            'person' => [], 'device' => [], 'act' => [], 'loan' => [], 'begun' => [], 'disturbed' => [],
        ]);
        foreach ($rows as $row) {
            $more = json_decode($row->more, true, 8, JSON_THROW_ON_ERROR);
            $on[(int) $row->aircraft_id][$row->what][] = match ($row->what) {
                'person' => self::person($row, $more),
                'device' => self::device($row, $more),
                'act' => self::act($row, $more),
                'loan' => new LoanOut(
                    (string) $row->row_id,
                    $more['what'],
                    $more['quantity'],
                    self::card($row),
                    $more['name'],
                    Instant::parse($more['out_at']),
                ),
                'disturbed' => self::disturbance($row, $more),
                default => self::card($row),
            };
        }

        return array_map(
            static fn(array $of): OnAircraft => new OnAircraft(
                $of['person'],
                $of['device'],
                $of['act'],
                $of['loan'],
                $of['begun'],
                $of['disturbed'],
            ),
            $on,
        );
    }

    /** @param list<int> $ids */
    private function people(array $ids): Builder
    {
        $query = $this->onCards('presences', $ids)->join('people', 'people.id', '=', 'presences.person_id');

        return self::part(
            $query,
            'person',
            'presences.id',
            "''",
            ['person' => 'people.id', 'name' => 'people.name', 'since' => 'presences.since'],
        );
    }

    /** @param list<int> $ids */
    private function devices(array $ids): Builder
    {
        $query = $this->onCards('safing_devices', $ids)
            ->join('people', 'people.id', '=', 'safing_devices.fitted_by')
            ->whereNull('removed_at');

        return self::part($query, 'device', 'safing_devices.id', 'safing_devices.fitted_at', [
            'kind' => 'safing_devices.kind', 'place' => 'safing_devices.place', 'against' => 'safing_devices.against',
            'open_line' => 'safing_devices.open_line', 'carried_by' => 'safing_devices.carried_by',
            'name' => 'people.name', 'since' => 'safing_devices.fitted_at',
        ]);
    }

    /** @param list<int> $ids */
    private function acting(array $ids): Builder
    {
        $query = $this->onCards('acting', $ids)->join('steps', 'steps.id', '=', 'acting.step_id')
            ->join('people', 'people.id', '=', 'acting.begun_by')->whereNull('acting.ended_at');

        return self::part($query, 'act', 'acting.id', "''", [
            'how' => 'acting.how', 'systems' => 'acting.systems', 'running' => 'acting.running',
            'since' => 'acting.since',
            'no' => 'steps.no', 'title' => 'steps.title', 'name' => 'people.name',
        ]);
    }

    /** @param list<int> $ids */
    private function loans(array $ids): Builder
    {
        $query = $this->onCards('tool_loans', $ids)
            ->join('people', 'people.id', '=', 'tool_loans.person_id')
            ->whereNull('tool_loans.in_at');

        return self::part($query, 'loan', 'tool_loans.id', "''", [
            'what' => 'tool_loans.what', 'quantity' => 'tool_loans.quantity', 'out_at' => 'tool_loans.out_at',
            'name' => 'people.name',
        ]);
    }

    /** @param list<int> $ids */
    private function begun(array $ids): Builder
    {
        $query = DB::table('cards')->whereIn('cards.aircraft_id', $ids)
            ->join('visits', 'visits.id', '=', 'cards.visit_id')
            ->whereIn('cards.state', [CardProgress::InWork->value, CardProgress::Signed->value]);

        return self::part($query, 'begun', 'cards.id', "''", []);
    }

    /**
     * What is not known to be whole again: of the aircraft itself, or of the components that are fitted to it now.
     *
     * @param list<int> $ids
     */
    private function disturbed(array $ids, bool $fitted): Builder
    {
        $query = DB::table('disturbances')->join('cards', 'cards.id', '=', 'disturbances.card_id')
            ->join('visits', 'visits.id', '=', 'cards.visit_id')
            ->join('people', 'people.id', '=', 'disturbances.person_id')
            ->leftJoin('steps', 'steps.id', '=', 'disturbances.step_id')
            ->where(['disturbances.settled' => false, 'disturbances.stands' => true]);
        $fitted
            ? $query->join('tenures', 'tenures.component_id', '=', 'disturbances.component_id')
                ->whereNull('tenures.to_date')->whereIn('tenures.aircraft_id', $ids)
            : $query->whereNull('disturbances.component_id')->whereIn('disturbances.aircraft_id', $ids);
        self::part($query, 'disturbed', 'disturbances.id', "''", [
            'what' => 'disturbances.what', 'act' => 'disturbances.act', 'how' => 'disturbances.how',
            'needs' => 'disturbances.needs', 'proof' => 'disturbances.proof', 'no' => 'steps.no',
            'name' => 'people.name', 'at' => 'disturbances.at', 'component' => 'disturbances.component_id',
        ]);
        if ($fitted) {
            // The card may be of the aircraft that the component came from.
            $query->columns[0] = 'tenures.aircraft_id';
        }

        return $query;
    }

    /** @param list<int> $ids */
    private function onCards(string $table, array $ids): Builder
    {
        return DB::table($table)->join('cards', 'cards.id', '=', "{$table}.card_id")
            ->join('visits', 'visits.id', '=', 'cards.visit_id')
            ->whereIn('cards.aircraft_id', $ids);
    }

    /**
     * One kind of thing at the aircraft, in the columns all kinds share: its card's, and its own as one object.
     *
     * @param array<string, string> $more column by name
     */
    private static function part(Builder $query, string $what, string $id, string $placed, array $more): Builder
    {
        $pairs = implode(
            ', ',
            array_map(
                static fn(string $name, string $column): string => "'{$name}', {$column}",
                array_keys($more),
                $more,
            ),
        );

        return $query->select(self::CARD)
            ->selectRaw("'{$what}' as what, {$id} as row_id, {$placed} as placed, json_object({$pairs}) as more");
    }

    /** @param array<string, mixed> $more */
    private static function person(stdClass $row, array $more): PersonAt
    {
        return new PersonAt(
            (string) $more['person'],
            $more['name'],
            self::card($row),
            new Touch(self::list($row->card_systems), $row->zone),
            Instant::parse($more['since']),
        );
    }

    /** @param array<string, mixed> $more */
    private static function device(stdClass $row, array $more): DeviceOn
    {
        return new DeviceOn(
            (string) $row->row_id,
            $more['kind'],
            $more['place'],
            new Touch(self::list($more['against']), $row->zone),
            (bool) $more['open_line'],
            self::card($row),
            $more['name'],
            $more['carried_by'] === null ? null : (string) $more['carried_by'],
            Instant::parse($more['since']),
        );
    }

    /** @param array<string, mixed> $more */
    private static function act(stdClass $row, array $more): Acting
    {
        return new Acting(
            (string) $row->row_id,
            self::card($row),
            $more['no'],
            $more['title'],
            How::from($more['how']),
            self::list($more['systems']),
            new Touch(self::list($more['systems']), $row->zone),
            Instant::parse($more['since']),
            (bool) $more['running'],
            $more['name'],
        );
    }

    /** @param array<string, mixed> $more */
    private static function disturbance(stdClass $row, array $more): Disturbance
    {
        return new Disturbance(
            (int) $row->row_id,
            $more['what'],
            DisturbanceAct::from($more['act']),
            $more['how'] === null ? null : DisturbedHow::from($more['how']),
            array_map(Proof::from(...), self::list($more['needs'])),
            $more['proof'] === null ? null : Proof::from($more['proof']),
            self::card($row),
            $more['no'],
            $more['name'],
            Instant::parse($more['at']),
            $more['component'] === null ? null : (string) $more['component'],
        );
    }

    private static function card(stdClass $row): CardRef
    {
        return new CardRef(
            (string) $row->card_id,
            $row->number,
            $row->card_title,
            CardProgress::from($row->card_state),
            (string) $row->visit_id,
            $row->visit_title,
        );
    }

    /** @return list<string> */
    private static function list(?string $json): array
    {
        return $json === null ? [] : array_values(json_decode($json, true, 8, JSON_THROW_ON_ERROR));
    }
}
