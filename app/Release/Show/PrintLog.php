<?php

declare(strict_types=1);

namespace App\Release\Show;

use App\Floor\Model\Filling;
use App\Floor\Model\Finding;
use App\Floor\Model\LineValidity;
use App\Shared\Clock;
use App\Shared\Paper;
use App\Shared\Words;
use App\Visits\Model\Visit;

/** A check on the line as the aircraft's log wants it: half a sheet, to be laid or glued in. */
final readonly class PrintLog
{
    public function __construct(private Clock $clock, private ShowLineSign $sign) {}

    public function of(Visit $visit): string
    {
        $card = ShowLineSign::card($visit);
        $signed = LineValidity::with('person')->firstWhere('visit_id', $visit->id);
        $pdf = Paper::titled("Log {$visit->aircraft->mark}", "{$visit->aircraft->mark} · ".config('jorvel.operator'));
        $pdf->heading("{$visit->aircraft->mark}  {$visit->title}", 15);
        $pdf->entry('Card', "{$card->number}, {$card->template->manual->code} revision {$card->revision}");
        $pdf->entry('Counters', Words::counters($visit->aircraft->counters));
        $pdf->part('Found, and what was done', $this->found($visit));
        $pdf->part('Put in', $this->filled($visit));
        $pdf->Ln(3);
        $pdf->MultiCell(0, 0, $this->sign->statement($visit, $signed?->validity()), 0, 'L');
        $pdf->Ln(4);
        $pdf->entry('Signed', $signed === null
            ? '______________________'
            : "{$signed->person->name}, stamp {$signed->person->stamp}, ".$this->clock->local($signed->at)
                ." ({$signed->at})");

        return (string) $pdf->Output('', 'S');
    }

    /** @return list<array{string, string}> */
    private function found(Visit $visit): array
    {
        return array_values(Finding::whereIn('card_id', $visit->cards->modelKeys())->orderBy('id')->get()->map(
            static fn(Finding $f): array => [
                $f->number,
                "{$f->place}: {$f->extent}. ".ucfirst($f->state->value)
                    .(($f->fixed_how ?? '') === '' ? '' : ", {$f->fixed_how}").'.',
            ],
        )->all());
    }

    /** @return list<array{string, string}> */
    private function filled(Visit $visit): array
    {
        return array_values(Filling::with('part', 'batch')->where('stands', true)
            ->whereIn('card_id', $visit->cards->modelKeys())->orderBy('id')->get()
            ->map(static fn(Filling $f): array => [
                $f->position === '' ? $f->system : "{$f->system}, {$f->position}",
                Words::number($f->quantity, 2)." {$f->unit} {$f->part->title}, batch {$f->batch->batch}",
            ])->all());
    }
}
