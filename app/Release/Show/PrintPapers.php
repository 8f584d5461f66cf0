<?php

declare(strict_types=1);

namespace App\Release\Show;

use App\Floor\Model\Card;
use App\Floor\Model\Reading;
use App\Floor\Model\ReadingKind;
use App\Floor\Model\Step;
use App\Release\Model\Certificate;
use App\Shared\Clock;
use App\Visits\Model\Visit;
use Jorvel\Core\Shared\Instant;
use Jorvel\Core\Shared\Unit;

/** The certificate and the card pack, as PDF. */
final readonly class PrintPapers
{
    public function __construct(private Clock $clock) {}

    /** The certificate as it was signed: from its own words, whatever has become of the aircraft since. */
    public function certificate(Certificate $certificate): string
    {
        $said = $certificate->said;
        $pdf = Paper::titled($certificate->number, "{$certificate->number} · ".config('jorvel.operator'));
        $pdf->heading('Return to service', 18);
        $pdf->entry('Certificate', $certificate->number);
        if ($said === null) {
            $pdf->entry(
                'Signed',
                "{$certificate->person->name}, stamp {$certificate->person->stamp}, "
                    .$this->clock->local($certificate->at)." ({$certificate->at})",
            );
            $pdf->MultiCell(
                0,
                0,
                'This certificate was signed before its words were kept with it. The signed cards of the visit and '
                    .'the record hold what it rests on.',
                0,
                'L',
            );

            return (string) $pdf->Output('', 'S');
        }
        $pdf->entry('Operator', config('jorvel.operator').', approval '.config('jorvel.approval'));
        foreach (['Aircraft' => 'aircraft', 'Visit' => 'visit', 'Counters' => 'counters'] as $label => $field) {
            $pdf->entry($label, $said[$field]);
        }
        $due = array_map(static fn(array $d): array => [$d['code'], "{$d['title']}: {$d['next']}"], $said['due']);
        foreach ([
            'Work done' => $said['work'],
            'Found' => $said['findings'],
            'Parts fitted' => $said['parts'],
            'Due again' => $due,
            'Carried' => $said['carried'],
        ] as $title => $lines) {
            $pdf->part($title, $lines);
        }
        $pdf->Ln(3);
        $pdf->MultiCell(0, 0, $said['statement'], 0, 'L');
        $pdf->Ln(4);
        $pdf->entry('Signed', $said['signed']);

        return (string) $pdf->Output('', 'S');
    }

    /** Every card with its steps, limits, and either what was recorded or blanks to fill in. */
    public function cards(Visit $visit): string
    {
        $visit->load([
            'aircraft.type',
            'cards.steps.doer',
            'cards.readings.tool',
            'cards.template.manual',
            'cards.signer',
            'cards.inspector',
        ]);
        $pdf = Paper::titled("Cards {$visit->aircraft->mark}", "{$visit->aircraft->mark} · {$visit->title}");
        foreach ($visit->cards as $n => $card) {
            if ($n > 0) {
                $pdf->AddPage();
            }
            $this->card($pdf, $visit, $card);
        }

        return (string) $pdf->Output('', 'S');
    }

    private function card(Paper $pdf, Visit $visit, Card $card): void
    {
        $pdf->write2DBarcode("JORVEL CARD {$card->number}", 'QRCODE,M', 172, 14, 20, 20);
        $pdf->SetRightMargin(44);
        $pdf->heading("{$card->number}  {$card->title}", 13);
        $pdf->entry('Aircraft', "{$visit->aircraft->mark} ({$visit->aircraft->type->code})");
        $pdf->entry(
            'Manual',
            "{$card->template->manual->code}, chapter {$card->template->chapter}, revision {$card->revision}",
        );
        $pdf->entry('Zone, skill, hours', "{$card->zone}, {$card->skill}, {$card->hours} h");
        $pdf->SetRightMargin(18);
        $pdf->Ln(3);
        foreach ($card->steps as $step) {
            $this->step($pdf, $card, $step);
        }
        $pdf->Ln(4);
        $pdf->entry(
            'Signed',
            $card->signed_by === null ? '______________________' : $this->signature(
                $card->signer?->name,
                $card->signer?->stamp,
                $card->signed_at,
            ),
        );
        if ($card->independent_inspection) {
            $pdf->entry(
                'Independent inspection',
                $card->inspected_by === null ? '______________________' : $this->signature(
                    $card->inspector?->name,
                    $card->inspector?->stamp,
                    $card->inspected_at,
                ),
            );
        }
    }

    private function step(Paper $pdf, Card $card, Step $step): void
    {
        if ($step->kind === 'caution') {
            $pdf->SetFont('dejavusans', 'B', 9);
            $pdf->MultiCell(
                0,
                0,
                strtoupper((string) ($step->spec['level'] ?? 'caution')).": {$step->title}. {$step->text}",
                1,
                'L',
            );
            $pdf->SetFont('dejavusans', '', 9);
        }
        $limit = $step->spec['reading']['limit'] ?? null;
        $points = $step->spec['points'] ?? [];
        $asked = match (true) {
            $limit !== null => ' ['.self::limit($limit).']',
            $points !== [] => ' ['.implode(
                '; ',
                array_map(
                    static fn(array $p): string
                        => "{$p['title']} {$p['min']} to {$p['max']} ".Unit::parse($p['unit'])->label(),
                    $points,
                ),
            ).']',
            default => '',
        };
        $readings = $card->readings->where('step_id', $step->id)
            ->filter(static fn(Reading $r): bool => $r->stands || $r->kind === ReadingKind::AsFound)
            ->map(
                static fn(Reading $r): string
                    => ($r->kind === ReadingKind::Reading ? '' : str_replace('_', '-', $r->kind->value).' ')
                        ."{$r->point} = {$r->value} {$r->unit} ({$r->verdict}, {$r->tool?->code})",
            );
        $done = $step->state === Step::DONE ? "{$step->doer?->name} ({$step->doer?->stamp})" : '__________';
        $blank = $readings->isEmpty() && $asked !== '' ? '  reading: __________' : '';
        $pdf->entry(
            (string) $step->no,
            ($step->kind === 'caution' ? 'Read and understood' : $step->title.$asked).$blank,
        );
        if ($readings->isNotEmpty()) {
            $pdf->entry('', $readings->implode(', '));
        }
        $pdf->entry('', $done);
    }

    /** @param array<string, mixed> $limit */
    private static function limit(array $limit): string
    {
        $unit = Unit::parse($limit['unit'])->label();

        return match ($limit['kind']) {
            'min' => "at least {$limit['min']} {$unit}",
            'max' => "at most {$limit['max']} {$unit}",
            'range' => "{$limit['min']} to {$limit['max']} {$unit}",
            default => "{$limit['nominal']} +{$limit['plus']} −{$limit['minus']} {$unit}",
        };
    }

    private function signature(?string $name, ?string $stamp, ?Instant $at): string
    {
        return $at === null ? '' : "{$name} ({$stamp}), ".$this->clock->local($at);
    }
}
