<?php

declare(strict_types=1);

namespace App\Release\Show;

use TCPDF;

/** An A4 sheet with Jorvel's head and foot, on which the certificate and the cards are printed. */
final class Paper extends TCPDF
{
    private string $foot = '';

    /** @var bool the library's own mark at the foot: off */
    protected $tcpdflink = false;

    public static function titled(string $title, string $foot): self
    {
        $pdf = new self('P', 'mm', 'A4', true, 'UTF-8');
        $pdf->foot = $foot;
        $pdf->SetCreator('Jorvel');
        $pdf->SetTitle($title);
        $pdf->setPrintHeader(false);
        $pdf->SetMargins(18, 16, 18);
        $pdf->SetAutoPageBreak(true, 20);
        $pdf->setFontSubsetting(true);
        $pdf->SetFont('dejavusans', '', 9);
        $pdf->AddPage();

        return $pdf;
    }

    public function Footer(): void
    {
        $this->SetY(-14);
        $this->SetFont('dejavusans', '', 7);
        $this->Cell(0, 5, $this->foot, 0, 0, 'L');
        $this->Cell(0, 5, $this->getAliasNumPage().' / '.$this->getAliasNbPages(), 0, 0, 'R');
    }

    public function heading(string $text, float $size = 14): void
    {
        $this->SetFont('dejavusans', 'B', $size);
        $this->MultiCell(0, 0, $text, 0, 'L');
        $this->SetFont('dejavusans', '', 9);
        $this->Ln(2);
    }

    /**
     * A titled part with its lines; one that says so where there are none.
     *
     * @param list<array{string, string}> $lines
     */
    public function part(string $title, array $lines): void
    {
        $this->Ln(3);
        $this->heading($title, 11);
        foreach ($lines === [] ? [['', 'Nothing.']] : $lines as [$label, $value]) {
            $this->entry($label, $value);
        }
    }

    public function entry(string $label, string $value): void
    {
        $this->SetFont('dejavusans', '', 8);
        $y = $this->GetY();
        $this->MultiCell(46, 0, $label, 0, 'L', false, 1);
        $after = $this->GetY();
        $this->SetXY(66, $y);
        $this->SetFont('dejavusans', 'B', 9);
        $this->MultiCell(0, 0, $value, 0, 'L', false, 1);
        $this->SetY(max($after, $this->GetY()) + 1);
        $this->SetFont('dejavusans', '', 9);
    }
}
