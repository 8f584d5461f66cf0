<?php

declare(strict_types=1);

namespace App\Floor\Do;

use App\Crew\Model\Person;
use App\Floor\Model\Reading;
use App\Floor\Model\ReadingKind;
use App\Floor\Model\Step;
use App\Shared\Clock;
use App\Shared\Records;
use App\Shared\Refused;
use App\Shared\Words;
use App\Stores\Do\ToolDesk;
use App\Stores\Model\Tool;
use Closure;
use Jorvel\Core\Bench\Limit;
use Jorvel\Core\Bench\LimitKind;
use Jorvel\Core\Bench\LimitResult;
use Jorvel\Core\Bench\Readable;
use Jorvel\Core\Bench\ReadingLimit;
use Jorvel\Core\Bench\Verdict;
use Jorvel\Core\Shared\Entered;
use Jorvel\Core\Shared\Input;
use Jorvel\Core\Shared\Quantity;
use Jorvel\Core\Shared\Unit;

/** Takes a reading as somebody typed it, with the tool that took it, judges it and keeps it. */
final readonly class TakeReading
{
    public function __construct(private Clock $clock, private Records $records, private ToolDesk $desk) {}

    /**
     * Judges a reading; a reading out of limits is kept later, with its verdict.
     *
     * @param array<string, mixed> $spec `{point, limit, tool_kind?, decision?}`; without a kind of tool it is read by
     *   eye or by the clock
     *
     * @param (Closure(Quantity): Quantity)|null $as what a reading comes to, which is judged in its place
     *
     * @throws Refused when the tool may not be used, or cannot have shown it
     */
    public function ask(
        Step $step,
        array $spec,
        string $entry,
        string $toolCode,
        ReadingKind $kind = ReadingKind::Reading,
        int $run = 1,
        string $note = '',
        ?Closure $as = null,
    ): Taken {
        $tool = $this->tool($spec, $toolCode);
        $result = $this->judge($spec, $entry, $tool, $as);
        $this->requireHere($step, $tool);
        if ($result->verdict === Verdict::Pass && self::unusual($spec, $result->value) && $note === '') {
            throw Refused::because('Legal, and unusual: '.Words::number($result->value, 4)
                .' lies outside what is advised. Say in a few words what you think of it. Nothing was saved.');
        }

        return new Taken(
            $spec['point'],
            $entry,
            $result->value,
            $result->unit->value,
            $result->verdict->value,
            $result->margin,
            $tool,
            $result->reasons,
            $kind,
            $run,
            $note,
        );
    }

    /**
     * A reading without a limit: a reference, something that others are worked out from.
     *
     * @param string $point as it is kept
     *
     * @throws Refused when the tool may not be used, or cannot have shown it
     */
    public function note(
        Step $step,
        string $point,
        Unit $unit,
        string $entry,
        ?string $toolKind,
        string $toolCode,
        ReadingKind $kind = ReadingKind::Reading,
        int $run = 1,
    ): Taken {
        $tool = $this->tool($toolKind === null ? [] : ['tool_kind' => $toolKind], $toolCode);
        $reading = Entered::parse($entry, $unit);
        if ($tool !== null) {
            $this->requireReadable($reading, $tool);
        }
        $this->requireHere($step, $tool);

        return new Taken(
            $point,
            $entry,
            $reading->value,
            $unit->value,
            Verdict::Pass->value,
            null,
            $tool,
            kind: $kind,
            run: $run,
        );
    }

    /**
     * Inside its limit and outside the band that is advised: legal, and worth a word.
     *
     * @param array<string, mixed> $spec
     */
    public static function unusual(array $spec, float $value): bool
    {
        $advised = $spec['advised'] ?? [];

        return $value < ($advised['min'] ?? -INF) || $value > ($advised['max'] ?? INF);
    }

    /**
     * Keeps judged readings of one kind, with their tools counted out to the card; earlier ones of the same points no
     * longer stand.
     */
    public function commit(Person $by, Step $step, Taken ...$taken): void
    {
        foreach (array_unique(
            array_filter(array_map(static fn(Taken $t): ?Tool => $t->tool, $taken)),
            SORT_REGULAR,
        ) as $tool) {
            $this->desk->out($by, $step->card, $tool);
        }
        Reading::where(['step_id' => $step->id, 'kind' => $taken[0]->kind])->whereIn(
            'point',
            array_map(static fn(Taken $t): string => $t->point, $taken),
        )
            ->update(['stands' => false]);
        $now = (string) $this->clock->now();
        Reading::insert(array_map(static fn(Taken $t): array => [
            'step_id' => $step->id, 'card_id' => $step->card_id, 'tool_id' => $t->tool?->id, 'person_id' => $by->id,
            'point' => $t->point,
            'kind' => $t->kind, 'run' => $t->run, 'value' => $t->value, 'unit' => $t->unit, 'verdict' => $t->verdict,
            'margin' => $t->margin, 'reasons' => json_encode($t->reasons), 'at' => $now, 'stands' => true,
        ], array_values($taken)));
        foreach ($taken as $t) {
            $this->records->write($by, 'reading.taken', "card:{$step->card_id}", [
                'step' => $step->no, 'point' => $t->point, 'phase' => $t->kind, 'entered' => $t->entry,
                'value' => $t->value,
                'unit' => $t->unit, 'tool' => $t->tool?->code, 'verdict' => $t->verdict,
                ...($t->note === '' ? [] : ['note' => $t->note]),
            ]);
        }
    }

    /**
     * @param array<string, mixed> $spec
     * @param (Closure(Quantity): Quantity)|null $as
     *
     * @throws Refused when the tool cannot have shown it
     */
    public function judge(array $spec, string $entry, ?Tool $tool, ?Closure $as = null): LimitResult
    {
        $limit = self::limit($spec);
        $reading = Entered::parse($entry, $limit->unit);
        if ($tool !== null) {
            $this->requireReadable($reading, $tool);
        }

        return Limit::judge(
            $as === null ? $reading : $as($reading),
            $limit,
            $this->clock->today(),
            $tool?->instrument(),
            ($spec['decision'] ?? 'simple') === 'guarded',
        );
    }

    /** @throws Refused for a reading outside a tool's range, or finer than it shows */
    public function requireReadable(Quantity $reading, Tool $tool): void
    {
        $why = Readable::of($reading, $tool->instrument());
        if ($why === Readable::OutOfRange) {
            throw Refused::because(
                "{$tool->code} reads from ".Words::number($tool->low, 3).' to '.Words::number($tool->high, 3)
                    ." {$tool->unit}; this reading lies outside it. Take another tool or read again. Nothing "
                    .'was saved.',
            );
        }
        if ($why === Readable::TooFine) {
            throw Refused::because(
                "{$tool->code} shows steps of ".Words::number($tool->resolution, 4)." {$tool->unit}; "
                    .Words::number($reading->value, 6).' cannot be read on it. Enter what it shows. Nothing was saved.',
            );
        }
    }

    /** @throws Refused while the tool is out on another card */
    public function requireHere(Step $step, ?Tool $tool): void
    {
        if ($tool !== null) {
            $this->desk->requireHere($step->card, $tool);
        }
    }

    /** @param array<string, mixed> $spec */
    public function tool(array $spec, string $code): ?Tool
    {
        return isset($spec['tool_kind']) ? $this->desk->usable($spec['tool_kind'], $code) : null;
    }

    /** @param array<string, mixed> $spec */
    public static function limit(array $spec): ReadingLimit
    {
        return LimitKind::limit(Input::of((object) $spec['limit'], 'limit'));
    }
}
