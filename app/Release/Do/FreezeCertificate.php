<?php

declare(strict_types=1);

namespace App\Release\Do;

use App\Bench\Model\RigRun;
use App\Crew\Model\Person;
use App\Deferrals\Model\Deferral;
use App\Fleet\Model\Component;
use App\Fleet\Show\DueRow;
use App\Floor\Model\Card;
use App\Floor\Model\Exceedance;
use App\Floor\Model\Exchange;
use App\Floor\Model\Finding;
use App\Floor\Model\Step;
use App\Floor\RigWords;
use App\Library\FollowWords;
use App\Release\ReleaseWords;
use App\Shared\Clock;
use App\Shared\Words;
use App\Stores\Model\FittedPart;
use App\Visits\Model\Visit;
use Illuminate\Support\Collection;
use Jorvel\Core\Fleet\LimitDue;
use Jorvel\Core\Shared\Day;
use Jorvel\Core\Shared\Instant;
use Jorvel\Core\Shared\Unit;

/**
 * Everything that a certificate says, as it is at its signature; the paper is printed from it and from nothing else.
 */
final readonly class FreezeCertificate
{
    public function __construct(private Clock $clock) {}

    /**
     * @param Collection<int, DueRow> $due what was done, with its next dates
     *
     * @return array{
     *   number: string, aircraft: string, visit: string, counters: string, work: list<array{string, string}>,
     *   findings: list<array{string, string}>, parts: list<array{string, string}>,
     *   units: list<array{string, string}>, rigging: list<array{string, string}>,
     *   exceeded: list<array{string, string}>,
     *   due: list<array{code: string, title: string, next: string}>, carried: list<array{string, string}>,
     *   statement: string, signed: string,
     * }
     */
    public function __invoke(string $number, Visit $visit, Person $by, Collection $due, Instant $at): array
    {
        $visit->loadMissing([
            'aircraft.type',
            'aircraft.deferrals.listedItem',
            'aircraft.deferrals.finding',
            'cards.signer',
            'cards.inspector',
        ]);
        $aircraft = $visit->aircraft;

        return [
            'number' => $number,
            'aircraft' => "{$aircraft->mark}, {$aircraft->type->name}",
            'visit' => "{$visit->title}, {$visit->bay}, {$visit->start} to ".$this->clock->today(),
            'counters' => Words::counters($aircraft->counters)." at the end of {$aircraft->counters_as_of}",
            'work' => array_values($visit->cards->map($this->work(...))->all()),
            'findings' => array_values(
                Finding::with('fixCard')
                    ->whereIn('card_id', $visit->cards->modelKeys())
                    ->orderBy('id')
                    ->get()
                    ->map(self::finding(...))
                    ->all(),
            ),
            'parts' => array_values(
                FittedPart::with(['part', 'batch', 'card'])
                    ->whereIn('card_id', $visit->cards->modelKeys())
                    ->where('stands', true)
                    ->orderBy('id')
                    ->get()
                    ->map(self::part(...))
                    ->all(),
            ),
            'units' => array_values(Exchange::with('unitOff', 'unitOn')->whereIn('card_id', $visit->cards->modelKeys())
                ->where('stands', true)->orderBy('id')->get()->map(self::unit(...))->all()),
            'rigging' => $this->rigging($visit),
            'exceeded' => array_values(Exceedance::with('rule', 'finding')->where('aircraft_id', $aircraft->id)
                ->whereHas('finding', static fn($q) => $q->whereIn('card_id', $visit->cards->modelKeys()))
                ->orderBy('id')->get()->map(self::exceeded(...))->all()),
            'due' => array_values($due->map($this->due(...))->all()),
            'carried' => array_values($aircraft->deferrals->map(static fn(Deferral $d): array => [
                $d->finding->number,
                "{$d->listedItem->code} {$d->listedItem->title}, category {$d->category}. Placard: {$d->placard}",
            ])->all()),
            'statement' => ReleaseWords::statement($aircraft->mark, $visit->title, $visit->cards->count()),
            'signed' => "{$by->name}, stamp {$by->stamp}, ".$this->clock->local($at)." ({$at})",
        ];
    }

    /** @return array{string, string} */
    private function work(Card $card): array
    {
        return [
            $card->number,
            "{$card->title} · signed ".$this->signature($card->signer, $card->signed_at)
                .($card->inspected_by === null
                    ? ''
                    : ' · inspected '.$this->signature($card->inspector, $card->inspected_at)),
        ];
    }

    private function signature(?Person $who, ?Instant $at): string
    {
        return $who === null || $at === null
            ? ''
            : "{$who->name} ({$who->stamp}), ".$this->clock->local($at);
    }

    /** @return array{string, string} */
    private static function finding(Finding $f): array
    {
        return [
            $f->number,
            "{$f->place}: {$f->extent}. ".ucfirst($f->state->value).($f->fixed_how === null ? '' : " {$f->fixed_how}"),
        ];
    }

    /** @return array{string, string} what came off and what went on, by serial */
    private static function unit(Exchange $e): array
    {
        $of = static fn(?Component $c): string => $c === null ? 'nothing' : "{$c->part_no}, serial {$c->serial}";

        return [$e->position, "off {$of($e->unitOff)}; on {$of($e->unitOn)}"];
    }

    /** @return list<array{string, string}> what was turned, and what was left, sheet by sheet */
    private function rigging(Visit $visit): array
    {
        $numbers = $visit->cards->pluck('number', 'id');
        $lines = [];
        foreach (Step::with('runs')->whereIn('card_id', $visit->cards->modelKeys())->where('kind', 'rig')->orderBy('id')
            ->get() as $step) {
            $last = $step->runs->whereNotNull('as_left')->last();
            $points = array_column($step->spec['points'], null, 'id');
            $turned = $step->runs->flatMap(static fn(RigRun $r): array
                => $r->as_left === null ? [] : RigWords::turned($step->spec, $r->turned ?? []));
            foreach ($last->as_left ?? [] as $id => $value) {
                $unit = Unit::tryFrom((string) ($points[$id]['unit'] ?? ''))?->label() ?? '';
                $lines[] = [
                    $numbers[$step->card_id] ?? '',
                    ($points[$id]['title'] ?? $id).' left at '.trim(Words::number($value, 2)." {$unit}"),
                ];
            }
            if ($turned->isNotEmpty()) {
                $lines[] = [$numbers[$step->card_id] ?? '', 'Turned: '.$turned->implode(', ')];
            }
        }

        return $lines;
    }

    /** @return array{string, string} */
    private static function exceeded(Exceedance $e): array
    {
        $table = $e->rule->rule()->exceeded;

        return [$e->number, "{$e->position}: ".($table === null
            ? $e->row
            : "{$table->quantity} ".FollowWords::exceeded($table, $e->peak, $e->seconds).", {$e->row}")
            .", finding {$e->finding?->number}"];
    }

    /** @return array{string, string} */
    private static function part(FittedPart $p): array
    {
        return [
            $p->part->number,
            "{$p->quantity} {$p->part->title}, {$p->position}, card {$p->card->number}"
                .($p->batch === null ? '' : ", batch {$p->batch->batch}"),
        ];
    }

    /**
     * @return array{code: string, title: string, next: string} each limit in its own unit, then the day on which the
     *   first is met
     */
    private function due(DueRow $row): array
    {
        $limits = array_map(
            fn(LimitDue $l): string => $l->next instanceof Day
                ? "by {$this->clock->words($l->next)}"
                : 'at '.Words::amount($l->next, $l->unit),
            $row->due->limits,
        );
        $day = $row->due->forecast;
        $usage = $row->due->driver !== null && ! $row->due->driver->next instanceof Day;

        return [
            'code' => $row->of->item->code,
            'title' => $row->title(),
            'next' => implode(' or ', $limits).($usage && $day !== null ? ', expected '.$this->clock->words($day) : ''),
        ];
    }
}
