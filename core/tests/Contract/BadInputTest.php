<?php

declare(strict_types=1);

namespace Jorvel\Core\Tests\Contract;

use Jorvel\Core\Contract\Door;
use Jorvel\Core\Shared\InputError;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** Bad input is refused with the path of what is wrong; each row spoils one thing in a good input. */
final class BadInputTest extends TestCase
{
    private const GOOD = [
        'due' => '{"as_of":"2026-05-04","counters":{"fh":10},"rates":{"fh":2},"plan":[{"from":"2026-05-06","to":"2026-05-08","rates":{"fh":0}},{"from":"2026-06-01","to":"2026-06-02","rates":{}}],"entry":{"date":"2020-01-31","counters":{}},"warn_days":10,"item":{"rule":"first","rebase":"planned","limits":[{"unit":"fh","interval":100,"tolerance":{"pct":10}},{"unit":"months","interval":12}],"last":{"date":"2026-01-31","counters":{"fh":4},"planned":{"months":"2026-02-28","anchor_day":31}}}}',
        'limit' => '{"value":20,"unit":"Nm","limit":{"kind":"range","unit":"Nm","min":18,"max":22},"on":"2026-05-05","instrument":{"unit":"Nm","resolution":0.1,"uncertainty":0.3,"range":[5,60],"cal_due":"2026-06-30"},"decision":"guarded"}',
        'rig' => '{"points":[{"id":"a","value":1,"min":0,"max":2},{"id":"b","value":1,"min":0,"max":2}],"adjusters":[{"id":"s","step":1,"min":-1,"max":1,"positive":"cw"}],"effects":{"s":{"a":1}},"match":[{"points":["a","b"],"within":1}]}',
        'rig_next' => '{"points":[{"id":"a","min":0,"max":2,"noise":0.1},{"id":"b","min":0,"max":2,"noise":0.1}],'
            .'"adjusters":[{"id":"s","step":1,"min":-2,"max":2,"positive":"cw"}],"effects":{"s":{"a":1,'
            .'"b":{"mean":0.5,"sd":0.1}}},"effect_pct":20,"match":[{"points":["a","b"],"within":1}],'
            .'"runs":[{"readings":{"a":3,"b":1},"moves":{"s":-1}},{"readings":{"a":2.2}}],"budget_ms":500}',
        'vernier' => '{"unit_teeth":36,"lever_teeth":40,"required_deg":3,"max_unit_steps":4,"max_lever_steps":4}',
        'turnbuckle' => '{"pitch_mm":0.8,"horn_radius_mm":120,"error_deg":1.5,"step_turns":0.25,'
            .'"threads_showing":{"let_out":[1,1],"take_up":[3,3]},"max_threads_showing":3}',
        'clock' => '{"category":"C","discovered":"2026-05-01T10:00:00Z","timezone":"Europe/Oslo","as_of":"2026-05-05T10:00:00Z","limits":{"days":8,"ldg":20},"at_discovery":{"ldg":100},"counters":{"ldg":104},"rates":{"ldg":2},"extensions":[{"days":5,"granted":"2026-05-04T10:00:00Z"}]}',
        'release' => '{"cards":[{"id":"1","state":"closed","steps_open":0,"critical":false,"performed_by":["t"],"recheck_open":[],"revision_current":true}],"findings":[{"id":"f","state":"deferred","deferral_valid":true}],"safing":[{"id":"s","kind":"pin","place":"x","removed":false,"carried_by":"f"}],"tools_out":[],"readings":[{"id":"r","verdict":"pass"}],"certifier":{"id":"c","authority_valid":true,"rated":true}}',
        'depletion' => '{"readings":[{"date":"2026-03-01","pressure":1850,"temp_c":4},{"date":"2026-03-15","pressure":1822,"temp_c":6},{"date":"2026-04-01","pressure":1790,"temp_c":9}],"unit":"psi","min_pressure":1500,"reference_temp_c":21,"expected_per_day":2.5}',
        'stagger' => '{"interval":120,"margin":1,"step":0.5,"weeks":[{"task":40},{"task":40}],"aircraft":[{"id":"a","left":118,"most":24,"least":2,"stands":[0]},{"id":"b","left":20,"most":24,"phase":{"first":1,"last":1}}]}',
        'findings' => '{"prior":{"shape":2,"rate":20},"exposure_done":40,"found":9,"exposure_left":60,"fix_hours":{"median":3,"sigma":0.8},"open_fix_hours":22,"capacity_hours":75,"seed":3,"draws":100}',
        'pack' => '{"items":[{"id":"a","earliest":"2026-05-01","latest":"2026-06-01","interval_days":100,"hours":5,"access":["p"],"value":2}],"access_hours":{"p":1},"visits":[{"id":"v","start":"2026-05-10","end":"2026-05-12","capacity_hours":20}],"hour_weight":0.2,"budget_ms":300}',
        'plan' => '{"cards":[{"id":"a","hours":3,"needs":[{"skill":"s","count":2},{"skill":"t","count":1}],"zone":"z","people_in_zone":2,"state":{"power":"on"}},{"id":"b","hours":2,"after":["a"],"earliest":1}],"skills":{"s":2,"t":1},"zones":{"z":2},"budget_ms":50,"seed":1}',
        'assign' => '{"people":[{"id":"p","skills":["engine"],"ratings":["SKV"],"authority":["perform"],"valid_until":{"engine":"2026-06-01"},"hours":8},{"id":"q","skills":[],"ratings":[],"authority":[],"valid_until":{},"hours":0}],"slots":[{"id":"s","card":"1","role":"perform","skill":"engine","type":"SKV","date":"2026-05-05","hours":4},{"id":"t","card":"1","role":"duplicate","type":"SKV","date":"2026-05-05","hours":1}],"budget_ms":50}',
        'decay' => '{"start":{"t":"2026-05-05T08:00:00Z","pressure":80,"temp_c":20},"end":{"t":"2026-05-05T09:00:00Z","pressure":79,"temp_c":20},"unit":"bar","gas":true,"max_per_hour":2}',
        'tension' => '{"chart":[{"temp_c":0,"tension":100},{"temp_c":20,"tension":120}],"plus":5,"minus":5,"measured":110,"temp_c":10,"per_turn":4}',
        'response' => '{"samples":[{"t":0,"mode":"auto","q":4,"n":9},{"t":1,"mode":"auto","q":4,"n":9},{"t":2,"mode":"manual","q":5,"n":9},{"t":3,"mode":"manual","q":4,"n":9}],"signal":"q","hold":{"signal":"n","target":9,"tolerance":1,"seconds":2},"watch_seconds":1,"limit_points":2,"usual_points":1}',
        'drift' => '{"readings":[{"date":"2026-03-01","value":1,"reset":true},{"date":"2026-03-05","value":2},{"date":"2026-03-09","value":4}],"min":0,"max":9}',
        'rate' => '{"events":3,"exposure":900,"per":100,"confidence":0.8,"baseline":{"events":5,"exposure":8000}}',
        'dispatch' => '{"deferred":[{"id":"a","system":"30","inoperative":1,"installed":2,"required":1,"needs_operative":["35"],"forbid":{"icing":true},"restrict":{"max_altitude_ft":9000},"placard":true,"procedure":"done","expires_at":"2026-05-09T22:00:00Z"},{"id":"b","system":"35","inoperative":0,"installed":1,"required":1,"expires_at":null}],"flight":{"departs":"2026-05-06T05:00:00Z","arrives":"2026-05-06T06:00:00Z","icing":false,"night":true},"at":"2026-05-05T12:00:00Z"}',
        'closure' => '{"as_of":"2026-05-05","last_date":"2026-05-12","hours":4,"waits":[{"id":"p","on":"2026-05-07"},{"id":"q","on":null}],"slots":[{"id":"s","start":"2026-05-08","end":"2026-05-09","free_hours":6},{"id":"t","start":"2026-05-10","end":"2026-05-10","free_hours":6}]}',
        'swap' => '{"lines":[{"id":"l","station":"SKA","planned":"x","sectors":[{"id":"1","departs":"2026-05-06T05:00:00Z","arrives":"2026-05-06T06:00:00Z","fh":1,"ldg":1,"icing":false},{"id":"2","departs":"2026-05-06T07:00:00Z","arrives":"2026-05-06T08:00:00Z","fh":1,"ldg":1,"icing":true}]},{"id":"m","station":"SKA","sectors":[]}],"aircraft":[{"id":"x","station":"SKA","free_from":"2026-05-06T04:00:00Z","left":{"fh":9,"ldg":5},"deferred":[{"id":"d","system":"30","inoperative":1,"installed":2,"required":1,"forbid":{"icing":true},"expires_at":null}]},{"id":"y","station":"SKA","free_from":"2026-05-06T04:00:00Z"}],"at":"2026-05-05T12:00:00Z","budget_ms":100}',
        'set' => '{"values":[1.5,2,1.8],"max_spread":0.4}',
        'phase' => '{"phases":2,"items":[{"id":"a","hours":8,"access":["p"],"together":"x"},{"id":"b","hours":7,"together":"x"}],"access_hours":{"p":2},"budget_ms":500}',
    ];

    /**
     * @return iterable<string, array{string, string, mixed, string, 4?: string}> kind, where to put, what (null takes
     *   it out), the path of the error
     */
    public static function spoilt(): iterable
    {
        /** @var list<array{0: string, 1: string, 2: mixed, 3: string, 4?: string}> $rows */
        $rows = [
            ['due', 'as_of', '2026-02-30', 'as_of'],
            ['due', 'as_of', '04.05.2026', 'as_of'],
            ['due', 'as_of', null, 'as_of'],
            ['due', 'colour', 'red', 'colour'],
            ['due', 'item.limits.0.interval', 0, 'item.limits.0.interval'],
            ['due', 'item.limits.0.interval', '300', 'item.limits.0.interval'],
            ['due', 'item.limits.0.intervall', 5, 'item.limits.0.intervall'],
            ['due', 'item.limits.1.interval', 1.5, 'item.limits.1.interval'],
            ['due', 'item.limits.1.unit', 'fh', 'item.limits.1.unit'],
            ['due', 'item.limits.0.unit', '', 'item.limits.0.unit'],
            ['due', 'item.limits.0.unit', 'cyc', 'item.last.counters.cyc'],
            ['due', 'counters.fh', null, 'counters.fh'],
            ['due', 'counters.fh', -1, 'counters.fh'],
            ['due', 'rates.fh', null, 'rates.fh'],
            ['due', 'rates.fh', -2, 'rates.fh'],
            ['due', 'item.last.counters.fh', null, 'item.last.counters.fh'],
            ['due', 'item.limits.0.tolerance.abs', 3, 'item.limits.0.tolerance'],
            ['due', 'item.limits.0.tolerance', (object) [], 'item.limits.0.tolerance'],
            ['due', 'item.limits.1.early', ['abs' => 2.5], 'item.limits.1.early.abs'],
            ['due', 'plan.0.to', '2026-05-01', 'plan.0'],
            ['due', 'plan.1.from', '2026-05-08', 'plan.1'],
            ['due', 'item.last.planned.anchor_day', 27, 'item.last.planned.anchor_day'],
            ['due', 'item.last.planned.anchor_day', 32, 'item.last.planned.anchor_day'],
            ['due', 'item.last.planned.months', '2026-02-20', 'item.last.planned.anchor_day'],
            ['due', 'item.rule', 'second', 'item.rule'],
            ['due', 'warn_days', -1, 'warn_days'],
            ['due', 'item.last', null, 'item.last', 'ok with an entry'],
            ['limit', 'unit', 'furlong', 'unit'],
            ['limit', 'limit.unit', 'bar', 'limit.unit'],
            ['limit', 'instrument.unit', 'psi', 'instrument.unit'],
            ['limit', 'limit.min', 30, 'limit'],
            ['limit', 'limit.max', null, 'limit.max'],
            ['limit', 'limit.nominal', 20, 'limit.nominal'],
            ['limit', 'instrument', null, 'instrument'],
            ['limit', 'instrument.range', [60, 5], 'instrument.range'],
            ['limit', 'instrument.range', [60], 'instrument.range'],
            ['limit', 'instrument.uncertainty', -1, 'instrument.uncertainty'],
            ['limit', 'on', '2026-5-5', 'on'],
            ['limit', 'value', 'twenty', 'value'],
            ['limit', 'decision', 'lenient', 'decision'],
            ['decay', 'end.t', '2026-05-05T08:00:00Z', 'end.t'],
            ['decay', 'end.t', '2026-05-05T08:00:00+02:00', 'end.t'],
            ['decay', 'unit', 'Nm', 'unit'],
            ['decay', 'start.pressure', -2, 'start.pressure'],
            ['decay', 'end.temp_c', -300, 'end.temp_c'],
            ['decay', 'max_per_hour', -1, 'max_per_hour'],
            ['decay', 'gas', null, 'gas'],
            ['tension', 'chart', [], 'chart'],
            ['tension', 'chart.1.temp_c', 0, 'chart.1.temp_c'],
            ['tension', 'temp_c', 21, 'temp_c'],
            ['tension', 'temp_c', -1, 'temp_c'],
            ['tension', 'plus', -1, 'plus'],
            ['tension', 'per_turn', 0, 'per_turn'],
            ['response', 'samples.1.t', 0, 'samples'],
            ['response', 'samples', [], 'samples'],
            ['response', 'samples.1.q', null, 'samples.1.q'],
            ['response', 'samples.1.mode', 'half', 'samples.1.mode'],
            ['response', 'signal', 'z', 'samples.0.z'],
            ['response', 'hold.tolerance', -1, 'hold.tolerance'],
            ['response', 'hold.seconds', 0, 'hold.seconds'],
            ['response', 'watch_seconds', 0, 'watch_seconds'],
            ['rig_next', 'points.0.noise', 0, 'points.0.noise'],
            ['rig_next', 'points.0.max', 0, 'points.0'],
            ['rig_next', 'points.0.value', 1, 'points.0.value'],
            ['rig_next', 'points.1.id', 'a', 'points.1.id'],
            ['rig_next', 'effects.s.b.sd', -0.1, 'effects.s.b.sd'],
            ['rig_next', 'effects.s.c', 1, 'effects.s.c'],
            ['rig_next', 'effects.t', ['a' => 1], 'effects.t'],
            ['rig_next', 'effect_pct', -1, 'effect_pct'],
            ['rig_next', 'match.0.points.1', 'a', 'match.0.points'],
            ['rig_next', 'match.0.points.1', 'c', 'match.0.points.1'],
            ['rig_next', 'match.0.within', 0, 'match.0.within'],
            ['rig_next', 'runs', [], 'runs'],
            ['rig_next', 'runs', [['readings' => ['a' => 1]]], 'points.1'],
            ['rig_next', 'runs.1.readings.a', null, 'runs.1.readings'],
            ['rig_next', 'runs.1.readings.c', 1, 'runs.1.readings.c'],
            ['rig_next', 'runs.0.moves.t', 1, 'runs.0.moves.t'],
            ['rig_next', 'runs.0.moves.s', -2.5, 'runs.0.moves.s'],
            ['rig_next', 'runs.1.moves', ['s' => -1.5], 'runs.1.moves.s'],
            ['rig_next', 'adjusters.0.step', 0, 'adjusters.0.step'],
            ['rig_next', 'adjusters.0.min', 0.5, 'adjusters.0.min'],
            ['vernier', 'unit_teeth', 1, 'unit_teeth'],
            ['vernier', 'lever_teeth', 40.5, 'lever_teeth'],
            ['vernier', 'max_unit_steps', -1, 'max_unit_steps'],
            ['turnbuckle', 'pitch_mm', 0, 'pitch_mm'],
            ['turnbuckle', 'error_deg', 90, 'error_deg'],
            ['turnbuckle', 'step_turns', 0, 'step_turns'],
            ['turnbuckle', 'threads_showing.let_out', [1], 'threads_showing.let_out'],
            ['turnbuckle', 'threads_showing.take_up', null, 'threads_showing.take_up'],
            ['drift', 'readings.1.date', '2026-02-01', 'readings.1.date'],
            ['drift', 'readings.2.date', '2026-13-01', 'readings.2.date'],
            ['drift', 'readings.2.reset', true, 'readings'],
            ['drift', 'readings.0.colour', 1, 'readings.0.colour'],
            ['drift', 'readings', [], 'readings'],
            ['drift', 'max', 'nine', 'max'],
            ['rate', 'events', 1.5, 'events'],
            ['rate', 'events', 1_000_001, 'events'],
            ['rate', 'exposure', 0, 'exposure'],
            ['rate', 'per', 0, 'per'],
            ['rate', 'confidence', 1, 'confidence'],
            ['rate', 'baseline.exposure', 0, 'baseline.exposure'],
            ['rate', 'baseline.events', null, 'baseline.events'],
            ['dispatch', 'deferred.0.inoperative', 3, 'deferred.0'],
            ['dispatch', 'deferred.1.id', 'a', 'deferred.1.id'],
            ['dispatch', 'deferred.0.procedure', 'half', 'deferred.0.procedure'],
            ['dispatch', 'deferred.0.restrict', ['altitude_ft' => 9], 'deferred.0.restrict.altitude_ft'],
            ['dispatch', 'deferred.1.expires_at', null, 'deferred.1.expires_at'],
            ['dispatch', 'deferred.0.expires_at', '2026-05-09', 'deferred.0.expires_at'],
            ['dispatch', 'deferred.0.forbid', ['overwater' => true], 'flight.overwater'],
            ['dispatch', 'flight.arrives', '2026-05-06T04:59:00Z', 'flight'],
            ['dispatch', 'flight.night', null, 'flight.night'],
            ['dispatch', 'flight.icing', 'no', 'flight.icing'],
            ['dispatch', 'at', '2026-05-05T12:00:00+02:00', 'at'],
            ['closure', 'last_date', null, 'last_date'],
            ['closure', 'hours', -1, 'hours'],
            ['closure', 'slots.1.end', '2026-05-09', 'slots.1'],
            ['closure', 'slots.1.id', 's', 'slots.1.id'],
            ['closure', 'waits.1.id', 'p', 'waits.1.id'],
            ['closure', 'waits.0.on', 'soon', 'waits.0.on'],
            ['swap', 'lines.0.planned', 'z', 'lines.0.planned'],
            ['swap', 'lines.1.id', 'l', 'lines.1.id'],
            ['swap', 'lines.0.sectors.1.departs', '2026-05-06T05:30:00Z', 'lines.0.sectors.1'],
            ['swap', 'lines.0.sectors.0.arrives', '2026-05-06T04:00:00Z', 'lines.0.sectors.0'],
            ['swap', 'lines.0.sectors.1.icing', null, 'lines.0.sectors.1.icing'],
            ['swap', 'lines.0.sectors.1.id', '1', 'lines.0.sectors.1.id'],
            ['swap', 'aircraft.1.id', 'x', 'aircraft.1.id'],
            ['swap', 'aircraft.0.deferred.0.inoperative', 3, 'aircraft.0.deferred.0'],
            ['swap', 'aircraft.0.left', ['days' => 3], 'aircraft.0.left.days'],
            ['swap', 'budget_ms', 0, 'budget_ms'],
            ['rig', 'points.1.id', 'a', 'points.1.id'],
            ['rig', 'points.0.min', 3, 'points.0'],
            ['rig', 'adjusters.0.min', 1, 'adjusters.0.min'],
            ['rig', 'adjusters.0.step', 0, 'adjusters.0.step'],
            ['rig', 'adjusters.0.positive', 'left', 'adjusters.0.positive'],
            ['rig', 'effects.x', ['a' => 1], 'effects.x'],
            ['rig', 'effects.s.z', 1, 'effects.s.z'],
            ['rig', 'match.0.points.1', 'q', 'match.0.points.1'],
            ['rig', 'match.0.points.1', 'a', 'match.0.points'],
            ['rig', 'match.0.within', -1, 'match.0.within'],
            ['clock', 'timezone', 'Oslo', 'timezone'],
            ['clock', 'timezone', '+02:00', 'timezone'],
            ['clock', 'discovered', '2026-05-01T10:00:00+02:00', 'discovered'],
            ['clock', 'discovered', '2026-05-01T25:00:00Z', 'discovered'],
            ['clock', 'category', 'E', 'category'],
            ['clock', 'at_discovery.ldg', null, 'at_discovery.ldg'],
            ['clock', 'counters.ldg', null, 'counters.ldg'],
            ['clock', 'rates.ldg', null, 'rates.ldg'],
            ['clock', 'extensions.0.days', 9, 'extensions.0.days'],
            ['clock', 'extensions.0.granted', '2026-04-30T10:00:00Z', 'extensions.0.granted'],
            ['clock', 'extensions.0.granted', '2026-05-11T10:00:00Z', 'extensions.0.granted'],
            ['clock', 'category', 'D', 'extensions.0'],
            ['clock', 'extensions.1', ['days' => 1, 'granted' => '2026-05-04T11:00:00Z'], 'extensions.1'],
            ['clock', 'limits.days', 2.5, 'limits.days'],
            ['release', 'findings.0.deferral_valid', null, 'findings.0.deferral_valid'],
            ['release', 'safing.0.carried_by', 'g', 'safing.0.carried_by'],
            ['release', 'cards.0.state', 'done', 'cards.0.state'],
            ['release', 'readings.0.verdict', 'good', 'readings.0.verdict'],
            ['release', 'certifier.rated', null, 'certifier.rated'],
            ['release', 'cards.0.steps_open', 1.5, 'cards.0.steps_open'],
            ['release', 'cards.0.id', '', 'cards.0.id'],
            ['findings', 'prior.shape', 0, 'prior.shape'],
            ['findings', 'prior.rate', null, 'prior.rate'],
            ['findings', 'found', 2.5, 'found'],
            ['findings', 'exposure_left', -1, 'exposure_left'],
            ['findings', 'exposure_left', 1e9, 'exposure_left'],
            ['findings', 'fix_hours.median', 0, 'fix_hours.median'],
            ['findings', 'fix_hours.sigma', -0.1, 'fix_hours.sigma'],
            ['findings', 'draws', 0, 'draws'],
            ['assign', 'people.1.id', 'p', 'people.1.id'],
            ['assign', 'slots.1.id', 's', 'slots.1.id'],
            ['assign', 'people.0.hours', 25, 'people.0.hours'],
            ['assign', 'people.0.valid_until.engine', '2026-06-31', 'people.0.valid_until.engine'],
            ['assign', 'people.1.valid_until', ['old' => 'never'], 'people.1.valid_until.old'],
            ['assign', 'people.0.authority', ['perform', 'sign'], 'people.0.authority.1'],
            ['assign', 'slots.0.hours', 0, 'slots.0.hours'],
            ['assign', 'slots.0.date', '2026-5-5', 'slots.0.date'],
            ['assign', 'slots.0.role', 'lead', 'slots.0.role'],
            ['assign', 'slots.0.type', null, 'slots.0.type'],
            ['set', 'values', [], 'values'],
            ['set', 'values.1', '2', 'values.1'],
            ['set', 'max_spread', -0.1, 'max_spread'],
            ['pack', 'items.0.latest', '2026-04-30', 'items.0'],
            ['pack', 'items.0.earliest', '2026-02-30', 'items.0.earliest'],
            ['pack', 'items.0.interval_days', 0, 'items.0.interval_days'],
            ['pack', 'items.0.access', ['q'], 'items.0.access.0'],
            ['pack', 'visits.0.end', '2026-05-09', 'visits.0'],
            ['pack', 'visits.0.capacity_hours', -1, 'visits.0.capacity_hours'],
            ['pack', 'hour_weight', -1, 'hour_weight'],
            ['plan', 'cards.0.hours', 0, 'cards.0.hours'],
            ['plan', 'cards.0.hours', 1.5, 'cards.0.hours'],
            ['plan', 'cards.0.needs.0.count', 0, 'cards.0.needs.0.count'],
            ['plan', 'cards.0.needs.0.count', 3, 'cards.0.needs.0.count'],
            ['plan', 'cards.0.needs.1.skill', 's', 'cards.0.needs.1.skill'],
            ['plan', 'cards.0.needs.1.skill', 'u', 'cards.0.needs.1.skill'],
            ['plan', 'cards.0.zone', 'y', 'cards.0.zone'],
            ['plan', 'cards.0.people_in_zone', 3, 'cards.0.people_in_zone'],
            ['plan', 'cards.0.people_in_zone', null, 'cards.0'],
            ['plan', 'cards.1.after', ['c'], 'cards.1.after.0'],
            ['plan', 'cards.1.after', ['b'], 'cards'],
            ['plan', 'cards.0.after', ['b'], 'cards'],
            ['plan', 'cards.1.id', 'a', 'cards.1.id'],
            ['plan', 'skills.s', 1.5, 'skills.s'],
            ['phase', 'phases', 0, 'phases'],
            ['phase', 'items.1.id', 'a', 'items.1.id'],
            ['phase', 'items.0.access', ['p', 'q'], 'items.0.access.1'],
            ['phase', 'items.0.hours', -1, 'items.0.hours'],
            ['phase', 'access_hours.p', -1, 'access_hours.p'],
            ['phase', 'budget_ms', 0, 'budget_ms'],
            ['depletion', 'readings.1.date', '2026-02-28', 'readings.1.date'],
            ['depletion', 'readings.1.date', '2026-02-30', 'readings.1.date'],
            [
                'depletion', 'readings.2',
                ['date' => '2026-04-01', 'pressure' => 1790, 'temp_c' => 9, 'replaced' => true], 'readings',
            ],
            ['depletion', 'readings', [], 'readings'],
            ['depletion', 'readings.0.pressure', -20, 'readings.0.pressure'],
            ['depletion', 'readings.0.temp_c', -300, 'readings.0.temp_c'],
            ['depletion', 'reference_temp_c', -274, 'reference_temp_c'],
            ['depletion', 'unit', 'inHg', 'unit'],
            ['depletion', 'expected_per_day', -1, 'expected_per_day'],
            ['depletion', 'min_pressure', null, 'min_pressure'],
            ['stagger', 'interval', 0, 'interval'],
            ['stagger', 'step', 0, 'step'],
            ['stagger', 'weeks.1.task', 40.2, 'weeks.1.task'],
            ['stagger', 'weeks.1.task', 60000, 'weeks.1.task'],
            ['stagger', 'weeks.1.task', 1, 'weeks.1.task'],
            ['stagger', 'aircraft.1.id', 'a', 'aircraft.1.id'],
            ['stagger', 'aircraft.0.most', 169, 'aircraft.0.most'],
            ['stagger', 'aircraft.0.least', 25, 'aircraft.0.least'],
            ['stagger', 'aircraft.0.stands', [2], 'aircraft.0.stands.0'],
            ['stagger', 'aircraft.1.phase.first', 2, 'aircraft.1.phase.first'],
            ['stagger', 'aircraft.1.phase.last', 0, 'aircraft.1.phase'],
            ['stagger', 'aircraft.1.left', null, 'aircraft.1.left'],
        ];
        foreach ($rows as $row) {
            yield implode(' ', [$row[0], $row[1], json_encode($row[2])]) => $row;
        }
    }

    #[DataProvider('spoilt')]
    public function test_it_is_refused_at_its_place(
        string $kind,
        string $at,
        mixed $value,
        string $path,
        string $note = '',
    ): void {
        $input = json_decode(self::GOOD[$kind]);
        $place = &$input;
        $keys = explode('.', $at);
        $last = array_pop($keys);
        foreach ($keys as $key) {
            if (is_array($place)) {
                $place = &$place[(int) $key];
            } else {
                $place = &$place->{$key};
            }
        }
        if (is_array($place)) {
            $place[(int) $last] = $value;
        } elseif ($value === null) {
            unset($place->{$last});
        } else {
            $place->{$last} = $value;
        }
        unset($place);
        $json = (string) json_encode($input);
        if ($note !== '') {
            self::assertJson(Door::compute($kind, $json), $note);

            return;
        }
        self::assertSame([$path, "0.{$path}"], [self::path($kind, $json), self::path($kind, "[{$json}]")]);
    }

    public function test_the_good_ones_are_good_and_batches_keep_their_order(): void
    {
        foreach (self::GOOD as $kind => $json) {
            $one = Door::compute($kind, $json);
            self::assertSame("[{$one},{$one}]", Door::compute($kind, "[{$json},{$json}]"), $kind);
        }
        self::assertSame('[]', Door::compute('due', '[]'));
    }

    public function test_text_that_is_no_object_is_refused_at_the_empty_path(): void
    {
        foreach (['', 'nope', '3', '"a"', '{"as_of":', 'NaN'] as $text) {
            self::assertSame('', self::path('due', $text), $text);
        }
        self::assertSame('1', self::path('due', '['.self::GOOD['due'].',4]'));
        self::assertSame('counters.fh', self::path('due', str_replace('"fh":10', '"fh":1e999', self::GOOD['due'])));
    }

    private static function path(string $kind, string $json): string
    {
        try {
            return 'accepted: '.Door::compute($kind, $json);
        } catch (InputError $e) {
            return $e->path;
        }
    }
}
