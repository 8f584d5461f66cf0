<?php

declare(strict_types=1);

namespace App\Release\Show;

use App\Floor\DamageWords;
use App\Floor\Model\Card;
use App\Floor\Model\CircuitPoint;
use App\Floor\Model\Damage;
use App\Floor\Model\Reading;
use App\Floor\Model\ReadingKind;
use App\Floor\Model\Remark;
use App\Floor\Model\Step;
use App\Floor\StepWords;
use App\Library\FollowWords;
use App\Library\Model\Figure;
use App\Release\Model\Certificate;
use App\Shared\Clock;
use App\Shared\Paper;
use App\Stores\Model\FittedPart;
use App\Visits\Model\Visit;
use Illuminate\Support\Collection;
use Jorvel\Core\Shared\Instant;

/** The certificate and the card pack, as PDF. */
final readonly class PrintPapers
{
    public function __construct(private Clock $clock, private StepWords $words) {}

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
            'Limits that were exceeded' => $said['exceeded'] ?? [],
            'Units off and on' => $said['units'] ?? [],
            'Parts fitted' => $said['parts'],
            'Rigging' => $said['rigging'] ?? [],
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

    /**
     * Every card with its steps, limits, and either what was recorded or blanks to fill in.
     *
     * @param list<int> $only ids of cards; all of the visit where empty
     */
    public function cards(Visit $visit, array $only = []): string
    {
        $visit->load([
            'aircraft.type',
            'cards' => static fn($q) => $only === [] ? $q : $q->whereIn('id', $only),
            'cards.steps.doer',
            'cards.steps.runs',
            'cards.readings.tool',
            'cards.template.manual',
            'cards.signer',
            'cards.inspector',
            'cards.findings.followUps.person',
            'cards.findings.followUps.card',
        ]);
        $ids = $visit->cards->modelKeys();
        $beside = [
            'parts' => FittedPart::with(['part', 'batch'])->whereIn('card_id', $ids)->where('stands', true)->get(),
            'points' => CircuitPoint::with('person')->where('stands', true)
                ->whereIn('step_id', Step::whereIn('card_id', $ids)->where('kind', 'circuit')->select('id'))->get(),
            'remarks' => Remark::with('person', 'photo')->whereIn('card_id', $ids)->orderBy('id')->get(),
        ];
        $figures = Figure::of(
            $visit->cards->flatMap(static fn(Card $c): Collection => $c->steps->pluck('spec')),
            $visit->aircraft->type_id,
        )->groupBy(static fn(Figure $f): string => "{$f->code} {$f->version}");
        $pdf = Paper::titled("Cards {$visit->aircraft->mark}", "{$visit->aircraft->mark} · {$visit->title}");
        foreach ($visit->cards as $n => $card) {
            if ($n > 0) {
                $pdf->AddPage();
            }
            $this->card($pdf, $visit, $card, [
                ...array_map(static fn(Collection $of): Collection => $of->groupBy('step_id'), $beside),
                'figures' => $figures,
            ]);
        }

        return (string) $pdf->Output('', 'S');
    }

    /** @param array<string, Collection<array-key, Collection<int, mixed>>> $beside by step, figures by code and version */
    private function card(Paper $pdf, Visit $visit, Card $card, array $beside): void
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
        foreach (['Needs' => $card->ground, 'Panels' => $card->panels, 'Tools' => $card->tools] as $label => $list) {
            if (($list ?? []) !== []) {
                $pdf->entry($label, implode(', ', $list));
            }
        }
        $pdf->SetRightMargin(18);
        $pdf->Ln(3);
        foreach ($card->steps as $step) {
            $this->step($pdf, $card, $step, $beside);
        }
        if ($card->makes === 'induct') {
            $pdf->part('Damage known before: □ as it was, or measured anew', $this->known($visit));
        }
        if ($card->findings->isNotEmpty()) {
            $pdf->part('Found at this card', $this->found($card));
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

    /** @return list<array{string, string}> open damages of the aircraft, with what the approved data allows */
    private function known(Visit $visit): array
    {
        return array_values(Damage::with('looks')->where(['aircraft_id' => $visit->aircraft_id, 'state' => Damage::OPEN])
            ->orderBy('id')->get()->map(static fn(Damage $d): array => [
                "□ {$d->number}, {$d->kind}",
                "{$d->place}: ".DamageWords::size($d->looks->last()?->size()).'   now: ________ mm',
            ])->all());
    }

    /** @return list<array{string, string}> each finding of a card, with what followed from it */
    private function found(Card $card): array
    {
        $lines = [];
        foreach ($card->findings as $f) {
            $lines[] = [$f->number, "{$f->place}: {$f->extent} ({$f->severity->value}, {$f->state->value})"];
            foreach ($f->followUps as $u) {
                $lines[] = ['', FollowWords::kind($u->kind).": {$u->text}".match (true) {
                    $u->card !== null => ": card {$u->card->number}",
                    $u->answer !== '' => ": {$u->answer}, ".$this->signature(
                        $u->person?->name,
                        $u->person?->stamp,
                        $u->at,
                    ),
                    $u->waits() => ': ______________________', default => '',
                }];
            }
        }

        return $lines;
    }

    /** @param array<string, Collection<array-key, Collection<int, mixed>>> $beside by step, figures by code and version */
    private function step(Paper $pdf, Card $card, Step $step, array $beside): void
    {
        if ($step->kind === 'caution') {
            $pdf->box(strtoupper((string) ($step->spec['level'] ?? 'caution')).": {$step->title}. {$step->text}");
        }
        $of = static fn(string $what): Collection => $beside[$what]->get($step->id, collect());
        $entered = $this->words->entered(
            $step,
            $card->readings->where('step_id', $step->id)
                ->filter(static fn(Reading $r): bool => $r->stands || $r->kind === ReadingKind::AsFound),
            $of('parts'),
            $of('points'),
            $of('remarks'),
            $card->findings->where('step_no', $step->no),
        );
        $pdf->step(
            $step->no,
            $step->kind === 'caution' ? 'Read and understood' : $step->title,
            $step->kind === 'caution' ? '' : $step->text,
            $step->settled()
                ? []
                : $this->words->asked($step, $step->kind === 'circuit' && $of('points')->isNotEmpty()),
            $entered,
            $step->settled(),
        );
        foreach ($of('remarks') as $remark) {
            if ($remark instanceof Remark && $remark->photo !== null) {
                $pdf->photo(config('jorvel.photos')."/{$remark->photo->file}", $remark->text);
            }
        }
        $shows = $step->spec['figure'] ?? null;
        $figure = $shows === null ? null : $beside['figures']->get("{$shows['code']} {$shows['version']}")?->first();
        if ($figure instanceof Figure) {
            $pdf->figure(
                (string) base64_decode($figure->data, true),
                $figure->mime,
                $figure->width / $figure->height,
                "{$figure->code}, {$figure->title}.",
                $shows['marks'] ?? [],
            );
        }
    }

    private function signature(?string $name, ?string $stamp, ?Instant $at): string
    {
        return $at === null ? '' : "{$name} ({$stamp}), ".$this->clock->local($at);
    }
}
