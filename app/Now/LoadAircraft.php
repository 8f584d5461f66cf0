<?php

declare(strict_types=1);

namespace App\Now;

use Closure;
use Illuminate\Database\Query\Builder;
use Illuminate\Support\Facades\DB;
use Jorvel\Core\Floor\CardProgress;
use Jorvel\Core\Floor\How;
use Jorvel\Core\Floor\Touch;
use Jorvel\Core\Now\Acting;
use Jorvel\Core\Now\CardRef;
use Jorvel\Core\Now\DeviceOn;
use Jorvel\Core\Now\LoanOut;
use Jorvel\Core\Now\OnAircraft;
use Jorvel\Core\Now\PersonAt;
use Jorvel\Core\Shared\Instant;
use stdClass;

/** The one maker of what is at an aircraft: every presence, device, act, loan and begun card of it, whatever visit they belong to. */
final class LoadAircraft
{
    private const CARD = [
        'cards.aircraft_id', 'cards.id as card_id', 'cards.number', 'cards.title as card_title', 'cards.state as card_state', 'cards.zone',
        'cards.systems as card_systems', 'cards.visit_id',
    ];

    public function on(int $aircraftId): OnAircraft
    {
        return $this->all([$aircraftId])[$aircraftId];
    }

    /**
     * @param list<int> $ids of aircraft
     *
     * @return array<int, OnAircraft> by aircraft; five queries, however many there are
     */
    public function all(array $ids): array
    {
        $ids = array_values(array_unique($ids));
        [$people, $devices, $acting, $loans, $begun] = [$this->people($ids), $this->devices($ids), $this->acting($ids), $this->loans($ids), $this->begun($ids)];
        $all = [];
        foreach ($ids as $id) {
            $all[$id] = new OnAircraft($people[$id] ?? [], $devices[$id] ?? [], $acting[$id] ?? [], $loans[$id] ?? [], $begun[$id] ?? []);
        }

        return $all;
    }

    /**
     * @param list<int> $ids
     *
     * @return array<int, list<PersonAt>>
     */
    private function people(array $ids): array
    {
        $query = $this->onCards('presences', $ids)->join('people', 'people.id', '=', 'presences.person_id')->orderBy('presences.id');

        return self::each($query, ['people.id as person', 'people.name', 'presences.since'], static fn(stdClass $r): PersonAt => new PersonAt(
            (string) $r->person,
            $r->name,
            self::card($r),
            new Touch(self::list($r->card_systems), $r->zone),
            Instant::parse($r->since),
        ));
    }

    /**
     * @param list<int> $ids
     *
     * @return array<int, list<DeviceOn>>
     */
    private function devices(array $ids): array
    {
        $query = $this->onCards('safing_devices', $ids)->join('people', 'people.id', '=', 'safing_devices.fitted_by')->whereNull('removed_at')
            ->orderBy('safing_devices.fitted_at')->orderBy('safing_devices.id');
        $columns = ['safing_devices.id', 'safing_devices.kind', 'safing_devices.place', 'safing_devices.against', 'safing_devices.open_line', 'safing_devices.carried_by', 'people.name'];

        return self::each($query, $columns, static fn(stdClass $r): DeviceOn => new DeviceOn(
            (string) $r->id,
            $r->kind,
            $r->place,
            new Touch(self::list($r->against), $r->zone),
            (bool) $r->open_line,
            self::card($r),
            $r->name,
            $r->carried_by === null ? null : (string) $r->carried_by,
        ));
    }

    /**
     * @param list<int> $ids
     *
     * @return array<int, list<Acting>>
     */
    private function acting(array $ids): array
    {
        $query = $this->onCards('acting', $ids)->join('steps', 'steps.id', '=', 'acting.step_id')->join('people', 'people.id', '=', 'acting.begun_by')
            ->whereNull('acting.ended_at')->orderBy('acting.id');
        $columns = ['acting.id', 'acting.how', 'acting.systems', 'acting.running', 'acting.since', 'steps.no', 'steps.title as step_title', 'people.name'];

        return self::each($query, $columns, static fn(stdClass $r): Acting => new Acting(
            (string) $r->id,
            self::card($r),
            (int) $r->no,
            $r->step_title,
            How::from($r->how),
            self::list($r->systems),
            new Touch(self::list($r->systems), $r->zone),
            Instant::parse($r->since),
            (bool) $r->running,
            $r->name,
        ));
    }

    /**
     * @param list<int> $ids
     *
     * @return array<int, list<LoanOut>>
     */
    private function loans(array $ids): array
    {
        $query = $this->onCards('tool_loans', $ids)->join('people', 'people.id', '=', 'tool_loans.person_id')->whereNull('tool_loans.in_at')->orderBy('tool_loans.id');
        $columns = ['tool_loans.id', 'tool_loans.what', 'tool_loans.quantity', 'tool_loans.out_at', 'people.name'];

        return self::each($query, $columns, static fn(stdClass $r): LoanOut => new LoanOut((string) $r->id, $r->what, (int) $r->quantity, self::card($r), $r->name, Instant::parse($r->out_at)));
    }

    /**
     * @param list<int> $ids
     *
     * @return array<int, list<CardRef>>
     */
    private function begun(array $ids): array
    {
        $query = DB::table('cards')->whereIn('cards.aircraft_id', $ids)->join('visits', 'visits.id', '=', 'cards.visit_id')
            ->whereIn('cards.state', [CardProgress::InWork->value, CardProgress::Signed->value])->orderBy('cards.id');

        return self::each($query, ['visits.title as visit_title'], self::card(...));
    }

    /** @param list<int> $ids */
    private function onCards(string $table, array $ids): Builder
    {
        return DB::table($table)->join('cards', 'cards.id', '=', "{$table}.card_id")->whereIn('cards.aircraft_id', $ids);
    }

    /**
     * @template T
     *
     * @param list<string> $columns
     * @param Closure(stdClass): T $make
     *
     * @return array<int, list<T>> by aircraft
     */
    private static function each(Builder $query, array $columns, Closure $make): array
    {
        $out = [];
        foreach ($query->get([...self::CARD, ...$columns]) as $row) {
            $out[(int) $row->aircraft_id][] = $make($row);
        }

        return $out;
    }

    private static function card(stdClass $row): CardRef
    {
        return new CardRef((string) $row->card_id, $row->number, $row->card_title, CardProgress::from($row->card_state), (string) $row->visit_id, $row->visit_title ?? '');
    }

    /** @return list<string> */
    private static function list(?string $json): array
    {
        return $json === null ? [] : array_values(json_decode($json, true, 8, JSON_THROW_ON_ERROR));
    }
}
