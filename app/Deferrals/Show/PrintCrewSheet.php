<?php

declare(strict_types=1);

namespace App\Deferrals\Show;

use App\Deferrals\DeferralWords;
use App\Deferrals\Show\View\FlightView;
use App\Fleet\Model\Aircraft;
use App\Shared\Clock;
use App\Shared\Paper;

/**
 * One sheet for the crew of an aircraft: what it carries, all restrictions merged, what they do, and its coming
 * flights.
 */
final readonly class PrintCrewSheet
{
    public function __construct(private Clock $clock, private ShowSectors $show) {}

    /** @param Aircraft $aircraft with what {@see ShowSectors::flying()} reads */
    public function of(Aircraft $aircraft): string
    {
        $view = $this->show->flying($aircraft, (int) config('jorvel.sector_days'));
        $now = $this->clock->now();
        $pdf = Paper::titled(
            "Crew sheet {$aircraft->mark}",
            "{$aircraft->mark} · ".config('jorvel.operator').' · '.$this->clock->local($now)." ({$now})",
        );
        $pdf->heading("{$aircraft->mark}  What it carries, for the crew", 15);
        $pdf->MultiCell(0, 0, $view->sentence, 0, 'L');
        $forbidden = $lines = $crew = [];
        foreach ($aircraft->deferrals as $deferral) {
            $terms = $deferral->listedItem->terms();
            $forbidden = [...$forbidden, ...$terms->forbids];
            $lines[] = [
                "{$deferral->listedItem->code}, {$deferral->finding->number}",
                "{$deferral->name()}. Placard {$deferral->placard}. {$terms->conditions}",
            ];
            if ($terms->crew !== '') {
                $crew[] = [$deferral->listedItem->code, $terms->crew];
            }
        }
        $pdf->part('Carried', $lines);
        $limits = array_map(static fn(string $r): array => ['', $r], $view->restrictions);
        $never = DeferralWords::forbids(array_values(array_unique($forbidden)));
        $pdf->part('Limits, all together', [...$never === '' ? [] : [['', $never]], ...$limits]);
        $pdf->part('What the crew does', $crew);
        $pdf->part('Coming flights', array_map(static fn(FlightView $f): array => [
            "{$f->number}  {$f->day}",
            "{$f->from} to {$f->to} {$f->times}: ".match ($f->verdict) {
                'go' => 'may be flown',
                'go_restricted' => 'may be flown within these limits',
                default => 'not to be flown. '.implode('; ', $f->reasons),
            },
        ], $view->flights));

        return (string) $pdf->Output('', 'S');
    }
}
