<?php

declare(strict_types=1);

namespace App\Floor;

use App\Bench\Model\RigRun;
use App\Floor\Model\CircuitPoint;
use App\Floor\Model\Finding;
use App\Floor\Model\Reading;
use App\Floor\Model\ReadingKind;
use App\Floor\Model\Remark;
use App\Floor\Model\Step;
use App\Shared\Clock;
use App\Shared\Words;
use App\Stores\Model\FittedPart;
use Illuminate\Support\Collection;
use Jorvel\Core\Floor\Handling;
use Jorvel\Core\Floor\StepProgress;
use Jorvel\Core\Shared\Instant;
use Jorvel\Core\Shared\Unit;

/** A step on paper: what it asks, with blanks to fill in, and what was entered at it. It reads nothing itself. */
final readonly class StepWords
{
    private const BLANK = '__________';

    public function __construct(private Clock $clock) {}

    /**
     * The lines of a step that is still to be worked.
     *
     * @param bool $begun some points of the round that it is are seen: each has its own line among what was entered
     *
     * @return list<string>
     */
    public function asked(Step $step, bool $begun = false): array
    {
        $each = $step->spec['each'] ?? null;

        return array_values(array_filter([
            $each === null ? '' : "{$each['title']}: {$each['position']} ({$each['n']} of {$each['of']})",
            isset($step->spec['label']) ? "On the panel: {$step->spec['label']}" : '',
            isset($step->spec['applies']) ? FloorWords::appliesTo($step->spec['applies']).'.  □ not applicable' : '',
            $step->acts() === null ? '' : 'This step '.$step->acts().'.',
            ...array_map(static fn(string $h): string => "{$h}.", FloorWords::handles(Handling::of($step->spec))),
            isset($step->spec['second'])
                ? "A second person, at {$step->spec['second']['from']}, says \u{201C}{$step->spec['second']['says']}\u{201D}:   "
                    .'stamp '.self::BLANK
                : '',
            ...$begun ? array_slice(self::roundBlanks($step->spec), 0, 1) : self::blanks($step->kind, $step->spec),
        ]));
    }

    /**
     * @param array<string, mixed> $spec
     *
     * @return list<string>
     */
    private static function blanks(string $kind, array $spec): array
    {
        $of = static fn(string $what, string $unit = ''): string => "{$what}: ".trim(self::BLANK." {$unit}");

        return match ($kind) {
            'caution' => ['□ read and understood'],
            'instruction', 'finding_prompt' => ['□ done'],
            'measurement', 'torque', 'timing' => self::readingBlank($spec['reading']),
            'count' => ["{$of($spec['counts'])}".self::between($spec)],
            'hold' => ["Held {$spec['hold']['seconds']} s, {$spec['hold']['what']}: □ from ______ to ______"],
            'compare' => [
                $of($spec['shown']['title'], self::unit($spec['unit'])).'   '
                    .$of($spec['real']['title'], self::unit($spec['unit'])),
                "To agree within {$spec['within']} ".self::unit($spec['unit'])
                    .(isset($spec['real']['tool_kind']) ? ".   {$of($spec['real']['tool_kind'])}" : '.'),
            ],
            'part' => [
                "{$spec['quantity']} × {$spec['part']} at {$spec['position']}   {$of('batch')}"
                    .(($spec['seat'] ?? false) ? '   □ seat and groove looked at' : '')
                    .(isset($spec['lubricate']) ? "   □ lubricated with {$spec['lubricate']}" : ''),
            ],
            'exchange' => [
                "{$spec['component']} at {$spec['position']}:   {$of('serial off')}   tag ______   goes to ______",
                $of('serial on'),
                ...array_map(
                    static fn(array $h): string => "{$h['count']} × {$h['what']}:   off ______   on ______",
                    $spec['hardware'] ?? [],
                ),
            ],
            'consumable' => [
                "{$spec['product']} into {$spec['system']}".self::between($spec).':   '
                    .(($spec['drained'] ?? false) ? $of('drained', self::unit($spec['unit'])).'   ' : '')
                    .$of('put in', self::unit($spec['unit']))."   {$of('batch')}",
            ],
            'tool' => [$of($spec['tool_kind'])],
            'safing_fit' => [
                "{$spec['device']}, {$spec['place']}, {$spec['flag']}: □ fitted"
                    .(isset($spec['storage']) ? ".   Kept: {$spec['storage']}" : ''),
            ],
            'safing_remove' => [isset($spec['carried'])
                ? '□ removed, flag with it, and struck from the register'
                : "What step {$spec['of']} fitted: □ removed, flag with it"],
            'rollcall' => self::callBlanks($spec),
            'test' => [
                'Set up: '.implode('; ', $spec['setup']),
                "Hold {$spec['hold']['seconds']} s, {$spec['hold']['what']}",
                ...self::readingBlank($spec['reading']),
                'Put back: '.implode('; ', array_map(static fn(string $r): string => "□ {$r}", $spec['restore'])),
            ],
            'rig' => array_map(static fn(array $p): string => "{$p['title']}, {$p['min']} to {$p['max']} "
                .self::unit($p['unit']).':   as found '.self::BLANK.'   as left '.self::BLANK, $spec['points']),
            'answer' => [implode('   ', array_map(static fn(array $c): string => "□ {$c['title']}", $spec['choices']))],
            'mark' => [$of($spec['what'], isset($spec['unit']) ? self::unit($spec['unit']) : '')],
            'meet' => ['Met again: '.self::BLANK.(isset($spec['within']) ? "   within {$spec['within']}" : '')],
            'circuit' => self::roundBlanks($spec),
            'inspection' => ['Independent inspection of '.implode(', ', $spec['covers']).':   stamp '.self::BLANK],
            default => TestStepWords::blanks($kind, $spec),
        };
    }

    /**
     * @param array<string, mixed> $spec
     *
     * @return list<string>
     */
    private static function callBlanks(array $spec): array
    {
        return array_values(array_filter([
            isset($spec['stop']) ? "The words that mean stop: {$spec['stop']}" : '',
            ...array_map(static fn(string $line): string => "• {$line}", $spec['briefing'] ?? []),
            isset($spec['signs']) ? "Read by whoever is at {$spec['signs']}:   stamp ".self::BLANK : '',
            ...array_map(
                static fn(string $p): string => "{$p}".(($spec['lead'] ?? '') === $p ? ' (leads)' : '')
                    .': □ clear, name '.self::BLANK,
                $spec['places'],
            ),
        ]));
    }

    /**
     * @param array<string, mixed> $reading
     *
     * @return list<string>
     */
    private static function readingBlank(array $reading): array
    {
        $advised = $reading['advised'] ?? [];

        return array_values(array_filter([
            ucfirst($reading['point']).' ['.self::limit($reading['limit'])
                .(isset($reading['gauge']) ? ', at the reference temperature' : '').']   reading: '.self::BLANK.' '
                .self::unit($reading['limit']['unit'])
                .(isset($reading['gauge']) ? '   at ______ °C' : ''),
            $advised === [] ? '' : 'Advised'.self::between($advised).'; outside of it a word is asked: '.self::BLANK,
            isset($reading['exceeds']) ? 'If it went beyond the limit:   for ______ s' : '',
            isset($reading['tool_kind'])
                ? ucfirst($reading['tool_kind']).': '.self::BLANK.'   checked until ______'
                : '',
        ]));
    }

    /**
     * @param array<string, mixed> $spec
     *
     * @return list<string>
     */
    private static function roundBlanks(array $spec): array
    {
        $blank = match ($spec['ask']) {
            'tick' => '□',
            'count' => "______ {$spec['counts']}",
            default => '______ '.self::unit($spec['reading']['limit']['unit']),
        };
        $head = match ($spec['ask']) {
            'count' => ucfirst($spec['counts']).self::between($spec),
            'reading' => ucfirst($spec['reading']['point']).' ['.self::limit($spec['reading']['limit']).']',
            default => count($spec['points']).' points',
        };

        return [
            $head.(isset($spec['product']) ? "; with {$spec['product']}, batch ".self::BLANK : ''),
            ...array_map(
                static fn(array $some): string => implode('    ', array_map(
                    static fn(array $p): string => "{$blank} {$p['place']}",
                    $some,
                )),
                array_chunk($spec['points'], $spec['ask'] === 'tick' ? 3 : 2),
            ),
        ];
    }

    /**
     * What was entered at a step, and by whom.
     *
     * @param Step $step with `doer`, `runs`
     * @param Collection<int, Reading> $readings of it, with `tool`, those that stand and those as found
     * @param Collection<int, FittedPart> $parts of it that stand, with `part` and `batch`
     * @param Collection<int, CircuitPoint> $points of it that stand, with `person`
     * @param Collection<int, Remark> $remarks at it, with `person`
     * @param Collection<int, Finding> $findings at it
     *
     * @return list<string> empty where nothing was
     */
    public function entered(
        Step $step,
        Collection $readings,
        Collection $parts,
        Collection $points,
        Collection $remarks,
        Collection $findings,
    ): array {
        $result = $step->result ?? [];
        $by = $step->doer === null || $step->done_at === null
            ? ''
            : "{$step->doer->name} ({$step->doer->stamp}), ".$this->clock->local($step->done_at);
        if ($step->state === StepProgress::NotReached) {
            return [...$this->remarks($remarks), "Not reached: {$result['why']}"];
        }
        if ($step->state === StepProgress::NotApplicable) {
            return [...$this->remarks($remarks), "Not applicable: {$result['why']}.   {$by}"];
        }

        return array_values(array_filter([
            ...$readings->map(fn(Reading $r): string => $this->reading($step, $r))->all(),
            ...$step->runs->flatMap(static fn(RigRun $r): array => self::turned($step, $r))->all(),
            ...$parts->map(static fn(FittedPart $f): string => "{$f->quantity} × {$f->part->number} {$f->part->title}, "
                ."{$f->position}, "
                .($f->batch === null ? 'the one that was there' : "batch {$f->batch->batch}"))->all(),
            ...$this->points($step, $points),
            ...$this->said($step, $result),
            ...$this->remarks($remarks),
            ...$findings->map(static fn(Finding $f): string => "Found: {$f->number} {$f->place}, {$f->extent}; "
                .($f->state === Finding::OPEN ? 'open' : $f->state->value)
                .($f->fixed_how === null ? '' : ", {$f->fixed_how}"))->all(),
            $by,
        ]));
    }

    /**
     * @param array<string, mixed> $r what the step was done with
     *
     * @return list<string>
     */
    private function said(Step $step, array $r): array
    {
        $unit = isset($r['unit']) ? ' '.self::unit($r['unit']) : '';
        $calls = array_map(fn(array $c, string $place): string => "{$place}: {$c['name']}, called clear "
            .$this->clock->time(Instant::parse($c['at'])), $r['calls'] ?? [], array_keys($r['calls'] ?? []));

        return array_values(array_filter([
            isset($r['counted']) ? "Counted {$r['counted']} {$step->spec['counts']}"
                .(($r['verdict'] ?? 'pass') === 'pass' ? '' : ', outside') : '',
            isset($r['held']) && $step->kind !== 'stabilise' ? "Held for {$r['held']} s" : '',
            isset($r['tool']) ? "With {$r['tool']}" : '',
            isset($r['covers']) ? 'Looked at: '.implode(', ', $r['covers']) : '',
            isset($r['said']) ? $r['said'].(($r['verdict'] ?? 'pass') === 'pass' ? '' : ', not as it should be') : '',
            $step->kind === 'mark' && isset($r['mark']) ? "Marked: {$r['mark']}{$unit}" : '',
            isset($r['met']) ? "Met: {$r['met']}{$unit}".(isset($r['off']) ? ", off by {$r['off']}{$unit}" : '') : '',
            isset($r['note']) && TestStepWords::came($step, $r) === [] ? "Remarked: {$r['note']}" : '',
            ...self::wentThrough($step, $r),
            ...$calls,
            isset($r['brief']) ? "Briefing read and signed: {$r['brief']['name']} ({$r['brief']['stamp']})" : '',
        ]));
    }

    /**
     * What came off and went on, what was put in, and what the gauge showed.
     *
     * @param array<string, mixed> $r
     *
     * @return list<string>
     */
    public static function wentThrough(Step $step, array $r): array
    {
        $out = [];
        if ($step->kind === 'exchange' && isset($r['on'])) {
            $off = $r['off'] === null ? 'none was there' : "serial {$r['off']}";
            $out[] = "Off: {$off}.   On: serial {$r['on']}.";
            foreach ($r['hardware'] ?? [] as $what => $n) {
                $out[] = "{$what}: ".(isset($n['off']) ? "{$n['off']} off, " : '').($n['on'] ?? 0).' on';
            }
        }
        if ($step->kind === 'consumable' && isset($r['quantity'])) {
            $unit = self::unit($r['unit']);
            $out[] = ($r['drained'] > 0 ? Words::number((float) $r['drained'], 3)." {$unit} drained, " : '')
                .Words::number((float) $r['quantity'], 3)." {$unit} in"
                .(isset($r['batch']) ? ": {$r['title']}, batch {$r['batch']}" : '');
        }
        if (isset($r['gauge'])) {
            $g = $r['gauge'];
            $out[] = "Gauge of {$g['serial']}: ".Words::number((float) $g['shown'], 2).' '.self::unit($g['unit'])
                .' at '.Words::number((float) $g['temp_c'], 1).' °C, judged as at '
                .Words::number((float) $g['reference_c'], 0).' °C';
        }

        return [...$out, ...TestStepWords::came($step, $r)];
    }

    private function reading(Step $step, Reading $r): string
    {
        $point = TestStepWords::place($step, $r->point);
        $tool = $r->tool === null ? '' : ", {$r->tool->code}, checked until {$this->clock->words($r->tool->cal_due)}";

        return ($r->kind === ReadingKind::Reading ? '' : str_replace('_', '-', $r->kind->value).': ')
            ."{$point} = {$r->value} ".self::unit($r->unit).", {$r->verdict}{$tool}";
    }

    /** @return list<string> what was turned in a run of a rigging sheet */
    private static function turned(Step $step, RigRun $run): array
    {
        return array_map(
            static fn(string $said): string => "Run {$run->no}: {$said}",
            RigWords::turned($step->spec, $run->turned ?? []),
        );
    }

    /**
     * @param Collection<int, CircuitPoint> $points
     *
     * @return list<string>
     */
    private function points(Step $step, Collection $points): array
    {
        if ($step->kind !== 'circuit' || $points->isEmpty()) {
            return [];
        }
        $said = $points->keyBy('point');
        $lines = [count($step->spec['points']).' points, '.$points->count().' seen'];
        foreach ($step->spec['points'] as $p) {
            $is = $said->get($p['id']);
            $lines[] = "{$p['place']}: ".($is === null ? '______' : trim(($is->entry === 'seen' ? '' : "{$is->entry} ")
                .($is->verdict === 'pass' ? '' : 'not as it should be ')
                ."{$is->person->name} ({$is->person->stamp}), ".$this->clock->local($is->at)));
        }

        return $lines;
    }

    /**
     * @param Collection<int, Remark> $remarks
     *
     * @return list<string>
     */
    private function remarks(Collection $remarks): array
    {
        return array_values($remarks->map(
            fn(Remark $r): string => ($r->photo_id === null ? 'Remark' : "Photo {$r->photo_id}")
                .": {$r->text}  {$r->person->name} ({$r->person->stamp}), "
                .$this->clock->local($r->at),
        )->all());
    }

    /** @param array<string, mixed> $of with `min`, `max` */
    private static function between(array $of): string
    {
        return match (true) {
            isset($of['min'], $of['max']) => " [{$of['min']} to {$of['max']}]",
            isset($of['min']) => " [at least {$of['min']}]",
            isset($of['max']) => " [at most {$of['max']}]",
            default => '',
        };
    }

    /** @param array<string, mixed> $limit */
    public static function limit(array $limit): string
    {
        $unit = self::unit($limit['unit']);

        return match ($limit['kind']) {
            'min' => "at least {$limit['min']} {$unit}",
            'max' => "at most {$limit['max']} {$unit}",
            'range' => "{$limit['min']} to {$limit['max']} {$unit}",
            default => "{$limit['nominal']} +{$limit['plus']} −{$limit['minus']} {$unit}",
        };
    }

    private static function unit(string $unit): string
    {
        return Unit::parse($unit)->label();
    }
}
