<?php

declare(strict_types=1);

namespace App\Bench\Show;

use App\Bench\Model\RigRun;
use App\Bench\Show\View\LearnedView;
use App\Bench\Show\View\RiggingView;
use App\Floor\Model\Step;
use App\Floor\RigWords;
use App\Floor\Show\View\RunView;
use App\Shared\Clock;
use App\Shared\Paper;
use App\Shared\Words;
use Jorvel\Core\Bench\Rigging\Linkage;
use Jorvel\Core\Shared\Unit;

/** A rigging on one sheet: the linkage as it was left, what was found, turned and left, and with what it was read. */
final readonly class PrintRigging
{
    /** Width of the drawing, mm. */
    private const WIDTH = 150.0;

    public function __construct(private Clock $clock) {}

    public function of(Step $step, RiggingView $is): string
    {
        $pdf = Paper::titled("Rigging {$is->mark} {$is->card}", "{$is->mark} · card {$is->card}, step {$is->no} · "
            .config('jorvel.operator').' · printed '.$this->clock->local($this->clock->now()));
        $pdf->heading($is->sentence, 12);
        $pdf->entry('Approved data', $is->source);
        $left = RigRun::ofLast($step->runs->toBase())->last();
        $values = array_map(floatval(...), $left->as_left ?? $left->as_found ?? []);
        if (isset($step->spec['drawing']) && $values !== []) {
            $this->draw($pdf, $step->spec, $values);
        }
        $pdf->part('Points', array_map(
            static fn(array $p): array => [$p['title'], self::point($p, $is->runs, $values[$p['id']] ?? null)],
            array_values($step->spec['points']),
        ));
        $pdf->part('Rounds', array_map(static fn(RunView $r): array => [
            trim("{$r->no}, ".($r->when ?? ''), ', '),
            implode('; ', [
                ...$r->held, ...RigWords::turned($step->spec, (array) ($r->turned ?? [])),
            ]) ?: 'nothing turned',
        ], $is->runs));
        $threads = self::threads($step);
        if ($threads !== []) {
            $pdf->part('Threads that showed', $threads);
        }
        $pdf->part('Read with', array_map(static fn(string $t): array => ['', $t], $is->tools));
        $pdf->part('What it taught', array_map(static fn(LearnedView $l): array => [
            $l->adjuster,
            "{$l->point}: ".Words::number($l->here, 2).' ± '.Words::number($l->sure, 2)." {$l->unit}, by the book "
                .Words::number($l->book, 2),
        ], $is->learned));

        return (string) $pdf->Output('', 'S');
    }

    /** @return list<array{string, string}> at the ends of turnbuckles, before anything was turned */
    private static function threads(Step $step): array
    {
        $threads = RigRun::ofLast($step->runs->toBase())->first()->threads ?? [];
        $out = [];
        foreach ($step->spec['adjusters'] as $a) {
            foreach (array_chunk($threads[$a['id']] ?? [], 2) as $n => $ends) {
                $out[] = [
                    $a['buckles']['names'][$n],
                    implode(' and ', array_map(static fn(float|int $t): string => Words::number((float) $t, 1), $ends)),
                ];
            }
        }

        return $out;
    }

    /**
     * @param array<string, mixed> $point
     * @param list<RunView> $runs
     */
    private static function point(array $point, array $runs, ?float $left): string
    {
        $unit = Unit::tryFrom((string) $point['unit'])?->label() ?? '';
        $found = $runs === [] ? null : ((array) $runs[0]->asFound)[$point['id']] ?? null;
        $said = static fn(?float $v): string => $v === null ? '—' : Words::number($v, 2)." {$unit}";

        return "as found {$said($found)}, as left {$said($left)}; ".Words::number((float) $point['min'], 2).' to '
            .Words::number((float) $point['max'], 2)." {$unit}";
    }

    /**
     * @param array<string, mixed> $spec
     * @param array<string, float> $values as it was left
     */
    private function draw(Paper $pdf, array $spec, array $values): void
    {
        $drawing = $spec['drawing'];
        $scale = self::WIDTH / (float) $drawing['width'];
        $height = (float) $drawing['height'] * $scale;
        [$x, $y] = [18.0 + (174 - self::WIDTH) / 2, $pdf->GetY() + 2];
        $points = array_column($spec['points'], null, 'id');
        $pdf->SetLineStyle(['width' => 0.2, 'dash' => 0, 'color' => [120, 120, 120]]);
        $pdf->Rect($x, $y, self::WIDTH, $height);
        foreach (Linkage::at($drawing, $values)->lines() as ['part' => $part, 'from' => $from, 'to' => $to]) {
            $at = static fn(array $spot): array => [$x + $spot[0] * $scale, $y + $spot[1] * $scale];
            [[$x1, $y1], [$x2, $y2]] = [$at($from), $at($to)];
            $lever = $part['kind'] === 'lever' || $part['kind'] === 'cam';
            $point = $points[$part['point'] ?? ''] ?? null;
            if ($lever && $point !== null) {
                $pdf->SetLineStyle(['width' => 0.25, 'dash' => '1,1', 'color' => [60, 110, 90]]);
                foreach ([$point['min'], $point['max']] as $limit) {
                    $angle = deg2rad(Linkage::angle($part, (float) $limit));
                    $reach = (float) ($part['length'] ?? 0) * $scale;
                    $pdf->Line($x1, $y1, $x1 + $reach * cos($angle), $y1 - $reach * sin($angle));
                }
            }
            $pdf->SetLineStyle(['width' => $lever ? 0.9 : 0.5, 'dash' => 0, 'color' => [0, 0, 0]]);
            if ($from === $to) {
                $pdf->Circle($x1, $y1, 1.8);
            } else {
                $pdf->Line($x1, $y1, $x2, $y2);
            }
            if ($lever) {
                $pdf->Circle($x1, $y1, 1.2, 0, 360, 'DF', [], [255, 255, 255]);
            }
            $said = $part['text'] ?? $point['title'] ?? $part['adjuster'] ?? '';
            $value = $lever && $point !== null && isset($values[$point['id']])
                ? ' '.Words::number($values[$point['id']], 2).' '
                    .(Unit::tryFrom((string) $point['unit'])?->label() ?? '')
                : '';
            $pdf->SetFont('dejavusans', '', 7);
            [$tx, $ty] = $part['kind'] === 'rod' || $part['kind'] === 'cable'
                ? [($x1 + $x2) / 2, ($y1 + $y2) / 2]
                : [$x1, $y1 + 4];
            $pdf->Text($tx - $pdf->GetStringWidth($said.$value) / 2, $ty, $said.$value);
        }
        $pdf->SetFont('dejavusans', '', 9);
        $pdf->SetXY(18, $y + $height + 3);
    }
}
