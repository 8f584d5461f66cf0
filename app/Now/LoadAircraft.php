<?php

declare(strict_types=1);

namespace App\Now;

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
    private const CARD = ['cards.id as card_id', 'cards.number', 'cards.title as card_title', 'cards.state as card_state', 'cards.zone', 'cards.systems as card_systems', 'cards.visit_id'];

    public function on(int $aircraftId): OnAircraft
    {
        return new OnAircraft($this->people($aircraftId), $this->devices($aircraftId), $this->acting($aircraftId), $this->loans($aircraftId), $this->begun($aircraftId));
    }

    /** @return list<PersonAt> */
    private function people(int $aircraftId): array
    {
        $rows = $this->onCards('presences', $aircraftId)->join('people', 'people.id', '=', 'presences.person_id')->orderBy('presences.id')
            ->get([...self::CARD, 'people.id as person', 'people.name', 'presences.since']);

        return array_values($rows->map(static fn(stdClass $r): PersonAt => new PersonAt((string) $r->person, $r->name, self::card($r), self::touch($r), Instant::parse($r->since)))->all());
    }

    /** @return list<DeviceOn> */
    private function devices(int $aircraftId): array
    {
        $rows = $this->onCards('safing_devices', $aircraftId)->join('people', 'people.id', '=', 'safing_devices.fitted_by')->whereNull('removed_at')
            ->orderBy('safing_devices.fitted_at')->orderBy('safing_devices.id')
            ->get([...self::CARD, 'safing_devices.id', 'safing_devices.kind', 'safing_devices.place', 'safing_devices.against', 'safing_devices.open_line', 'safing_devices.carried_by', 'people.name']);

        return array_values($rows->map(static fn(stdClass $r): DeviceOn => new DeviceOn(
            (string) $r->id,
            $r->kind,
            $r->place,
            new Touch(self::list($r->against), $r->zone),
            (bool) $r->open_line,
            self::card($r),
            $r->name,
            $r->carried_by === null ? null : (string) $r->carried_by,
        ))->all());
    }

    /** @return list<Acting> */
    private function acting(int $aircraftId): array
    {
        $rows = $this->onCards('acting', $aircraftId)->join('steps', 'steps.id', '=', 'acting.step_id')->join('people', 'people.id', '=', 'acting.begun_by')->whereNull('acting.ended_at')->orderBy('acting.id')
            ->get([...self::CARD, 'acting.id', 'acting.how', 'acting.systems', 'acting.running', 'acting.since', 'steps.no', 'steps.title as step_title', 'people.name']);

        return array_values($rows->map(static fn(stdClass $r): Acting => new Acting(
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
        ))->all());
    }

    /** @return list<LoanOut> */
    private function loans(int $aircraftId): array
    {
        $rows = $this->onCards('tool_loans', $aircraftId)->join('people', 'people.id', '=', 'tool_loans.person_id')->whereNull('tool_loans.in_at')->orderBy('tool_loans.id')
            ->get([...self::CARD, 'tool_loans.id', 'tool_loans.what', 'tool_loans.quantity', 'tool_loans.out_at', 'people.name']);

        return array_values($rows->map(static fn(stdClass $r): LoanOut => new LoanOut((string) $r->id, $r->what, (int) $r->quantity, self::card($r), $r->name, Instant::parse($r->out_at)))->all());
    }

    /** @return list<CardRef> */
    private function begun(int $aircraftId): array
    {
        $rows = DB::table('cards')->join('visits', 'visits.id', '=', 'cards.visit_id')->where('cards.aircraft_id', $aircraftId)->whereIn('cards.state', [CardProgress::InWork->value, CardProgress::Signed->value])->orderBy('cards.id')
            ->get([...self::CARD, 'visits.title as visit_title']);

        return array_values($rows->map(self::card(...))->all());
    }

    private function onCards(string $table, int $aircraftId): Builder
    {
        return DB::table($table)->join('cards', 'cards.id', '=', "{$table}.card_id")->where('cards.aircraft_id', $aircraftId);
    }

    private static function card(stdClass $row): CardRef
    {
        return new CardRef((string) $row->card_id, $row->number, $row->card_title, CardProgress::from($row->card_state), (string) $row->visit_id, $row->visit_title ?? '');
    }

    private static function touch(stdClass $row): Touch
    {
        return new Touch(self::list($row->card_systems), $row->zone);
    }

    /** @return list<string> */
    private static function list(?string $json): array
    {
        return $json === null ? [] : array_values(json_decode($json, true, 8, JSON_THROW_ON_ERROR));
    }
}
