<?php

declare(strict_types=1);

namespace Tests\Safety;

use Illuminate\Support\Facades\DB;
use stdClass;

/**
 * What stands at aircraft, read from the tables and from nothing of the application: the judge of {@see BaseDay}. It is
 * written from docs/safety.md, and shares no rule with the code that it judges.
 */
final class Reading
{
    public static function card(int $id): stdClass
    {
        $card = DB::selectOne(
            'select c.*, t.revision as written, m.revision as manual from cards c join card_templates t on t.id = '
                .'c.template_id join manuals m on m.id = t.manual_id where c.id = ?',
            [$id],
        );
        assert($card instanceof stdClass);

        return $card;
    }

    /** @return list<stdClass> with `spec` decoded */
    public static function steps(int $card): array
    {
        return array_map(static function (stdClass $s): stdClass {
            $s->spec = json_decode((string) $s->spec, true);

            return $s;
        }, DB::select('select * from steps where card_id = ? order by no', [$card]));
    }

    /**
     * @param list<string> $a
     * @param list<string> $b
     */
    private static function meet(array $a, string $aZone, array $b, string $bZone): bool
    {
        if (in_array('*', [...$a, ...$b], true)) {
            return true;
        }
        foreach ($a as $system) {
            if (in_array($system, $b, true)) {
                return true;
            }
        }

        return ($a === [] || $b === [])
            && ($aZone === $bZone || $aZone === 'whole aircraft' || $bZone === 'whole aircraft');
    }

    /** @return list<string> what stands against a step that acts, now */
    public static function against(stdClass $card, stdClass $step, int $person): array
    {
        $acts = $step->spec['acts'] ?? null;
        if ($acts === null || $step->state === 'done') {
            return [];
        }
        $found = [];
        $called = DB::selectOne("select 1 from steps where card_id = ? and kind = 'rollcall' and no < ?", [
            $card->id, $step->no,
        ]) !== null;
        foreach (DB::select(
            'select p.person_id, c.id, c.systems, c.zone, c.number from presences p join cards c on c.id = '
                .'p.card_id where c.aircraft_id = ? and p.person_id != ?',
            [$card->aircraft_id, $person],
        ) as $p) {
            if (
                ! ($called && $p->id === $card->id)
                && self::meet($acts['systems'], $card->zone, json_decode($p->systems, true), $p->zone)
            ) {
                $found[] = "person {$p->person_id} is at {$p->number}";
            }
        }
        foreach (DB::select(
            'select d.kind, d.place, d.against, c.zone from safing_devices d join cards c on c.id = d.card_id where '
                .'d.aircraft_id = ? and d.removed_at is null',
            [$card->aircraft_id],
        ) as $d) {
            if (! in_array($d->kind, $acts['with'] ?? [], true) && self::meet(
                $acts['systems'],
                $card->zone,
                json_decode($d->against, true),
                $d->zone,
            )) {
                $found[] = "{$d->kind} is fitted";
            }
        }

        return [...$found, ...self::live($card, $acts['systems'])];
    }

    /**
     * @param list<string>|null $systems those of the card where null
     *
     * @return list<string> what runs or is live on other cards of the aircraft, where these systems are
     */
    public static function live(stdClass $card, ?array $systems = null): array
    {
        $found = [];
        foreach (DB::select(
            'select a.systems, c.zone, c.number, s.no from acting a join cards c on c.id = a.card_id join steps s '
                .'on s.id = a.step_id where c.aircraft_id = ? and a.card_id != ? and a.ended_at is null',
            [$card->aircraft_id, $card->id],
        ) as $a) {
            if (self::meet(
                json_decode($a->systems, true),
                $a->zone,
                $systems ?? json_decode($card->systems, true),
                $card->zone,
            )) {
                $found[] = "step {$a->no} of {$a->number} acts";
            }
        }
        // What was begun and has not ended must be among them, whatever the table of acts says.
        foreach (DB::select(
            'select s.no, s.spec, c.number, c.zone from steps s join cards c on c.id = s.card_id where '
                ."c.aircraft_id = ? and c.id != ? and s.state = 'open' and s.started_at is not null",
            [$card->aircraft_id, $card->id],
        ) as $s) {
            $acts = json_decode($s->spec, true)['acts'] ?? null;
            if (
                $acts !== null
                && self::meet($acts['systems'], $s->zone, $systems ?? json_decode($card->systems, true), $card->zone)
            ) {
                $found[] = "step {$s->no} of {$s->number} runs";
            }
        }

        return $found;
    }

    public static function isAt(int $card, int $person): bool
    {
        return DB::selectOne('select 1 from presences where card_id = ? and person_id = ?', [$card, $person]) !== null;
    }

    public static function handedOver(int $card): bool
    {
        return DB::selectOne('select 1 from handovers where card_id = ? and taken_at is null', [$card]) !== null;
    }

    public static function loansOut(int $card): int
    {
        return (int) DB::scalar('select count(*) from tool_loans where card_id = ? and in_at is null', [$card]);
    }

    /** @return list<string> what keeps an aircraft from leaving, of everything that is at it */
    public static function atAircraft(int $aircraft): array
    {
        $count = static fn(string $sql): int => (int) DB::scalar($sql, [$aircraft]);

        return array_keys(array_filter([
            'somebody is at it' => $count('select count(*) from presences p join cards c on c.id = p.card_id where '
                .'c.aircraft_id = ?') > 0,
            'a card is begun' => $count("select count(*) from cards where aircraft_id = ? and state in ('in_work', "
                ."'signed')") > 0,
            'something is out' => $count(
                'select count(*) from tool_loans l join cards c on c.id = l.card_id where c.aircraft_id = ? and '
                    .'l.in_at is null',
            ) > 0,
            'a device is on' => $count('select count(*) from safing_devices where aircraft_id = ? and removed_at is '
                .'null and carried_by is null') > 0,
            'a system is live' => $count('select count(*) from acting where aircraft_id = ? and ended_at is null') > 0,
            'something is not whole' => self::notWhole($aircraft),
            'a finding is open' => $count("select count(*) from findings where aircraft_id = ? and state = 'open'") > 0,
        ]));
    }

    /**
     * Something was disturbed and is not joined since, or lacks a proof from after that; what was whole once is
     * not asked again.
     */
    private static function notWhole(int $aircraft): bool
    {
        $rows = DB::select(
            'select id, what, act, how, needs, proof from disturbances where aircraft_id = ? and stands order by id',
            [$aircraft],
        );
        $owed = $joined = $asked = [];
        foreach ($rows as $r) {
            if ($r->act === 'disturbed') {
                $joined[$r->what] = $r->how === 'redone' && ($joined[$r->what] ?? ! isset($owed[$r->what]));
                // Whatever was ever asked for since it was last whole is asked for from the beginning.
                $asked[$r->what] = array_unique([...$asked[$r->what] ?? [], ...json_decode($r->needs ?? '[]', true)]);
                $owed[$r->what] = $asked[$r->what];
            } elseif (isset($owed[$r->what])) {
                $joined[$r->what] = $r->act === 'joined' ? true : $joined[$r->what] ?? false;
                $owed[$r->what] = $r->act === 'proven' && $joined[$r->what]
                    ? array_diff($owed[$r->what], [$r->proof])
                    : $owed[$r->what];
            }
            if (isset($owed[$r->what]) && $owed[$r->what] === [] && $joined[$r->what]) {
                unset($owed[$r->what], $joined[$r->what], $asked[$r->what]);
            }
        }

        return $owed !== [];
    }

    /** @return list<int> who did anything on a card, by the records, which nothing takes back */
    public static function hands(int $card): array
    {
        $kinds = "'step.done', 'step.taken_back', 'step.broken_off', 'step.hold_started', 'step.called_clear', "
            ."'step.counted', 'step.answered', 'step.points', 'step.not_met', 'step.not_applicable', 'step.again', "
            ."'reading.taken', 'rig.computed', 'rig.as_left'";

        return array_map(
            static fn(stdClass $r): int => (int) $r->id,
            DB::select(
                "select distinct p.id from records r join people p on r.who like '%(' || p.stamp || ')' where "
                    ."r.subject = ? and r.what in ({$kinds})",
                ["card:{$card}"],
            ),
        );
    }
}
