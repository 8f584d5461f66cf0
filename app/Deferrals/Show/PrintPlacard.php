<?php

declare(strict_types=1);

namespace App\Deferrals\Show;

use App\Deferrals\DeferralWords;
use App\Deferrals\Model\Deferral;
use App\Shared\Clock;
use App\Shared\Paper;

/** A placard to its size, with the line along which it is cut, and beside it what goes into the log. */
final readonly class PrintPlacard
{
    public function __construct(private Clock $clock) {}

    /** @param Deferral $deferral with `aircraft`, `finding` and `listedItem` */
    public function of(Deferral $deferral): string
    {
        [$width, $height] = $deferral->listedItem->terms()->size;
        $name = "Placard {$deferral->finding->number}";
        $pdf = Paper::titled($name, "{$deferral->aircraft->mark} · {$deferral->finding->number} · "
            .config('jorvel.operator'));
        $pdf->heading("{$deferral->aircraft->mark}  {$deferral->name()}", 12);
        $pdf->MultiCell(0, 0, "Print at full size, cut along the line: {$width} by {$height} mm.", 0, 'L');
        $pdf->Ln(4);
        [$x, $y] = [18.0, $pdf->GetY()];
        $pdf->SetLineStyle(['width' => 0.2, 'dash' => '2,1', 'color' => [0, 0, 0]]);
        $pdf->Rect($x - 2, $y - 2, $width + 4, $height + 4);
        $pdf->SetLineStyle(['width' => 0.6, 'dash' => 0, 'color' => [0, 0, 0]]);
        $pdf->Rect($x, $y, $width, $height);
        $this->words($pdf, $deferral->placard, $x, $y, $width, $height * 0.68);
        $pdf->SetFont('dejavusans', '', max(5.0, $height * 0.28));
        $pdf->SetXY($x, $y + $height * 0.68);
        $said = "{$deferral->aircraft->mark}  {$deferral->finding->number}  {$deferral->listedItem->code}  "
            .$deferral->discovered_at->dayIn($this->clock->zone());
        $pdf->Cell($width, $height * 0.28, $said, 0, 0, 'C');
        $pdf->SetY($y + $height + 10);
        $pdf->SetFont('dejavusans', '', 9);
        $pdf->part('For the log', [['', DeferralWords::log($deferral, $deferral->finding)]]);

        return (string) $pdf->Output('', 'S');
    }

    /** As large as they fit. */
    private function words(Paper $pdf, string $text, float $x, float $y, float $width, float $height): void
    {
        for ($size = 40.0; $size > 6; $size -= 1) {
            $pdf->SetFont('dejavusans', 'B', $size);
            if ($pdf->GetStringWidth($text) <= $width - 6 && $size * 0.42 <= $height) {
                break;
            }
        }
        $pdf->SetXY($x, $y);
        $pdf->Cell($width, $height, $text, 0, 0, 'C', false, '', 0, false, 'T', 'M');
    }
}
