<?php

declare(strict_types=1);

namespace App\Shared;

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

    /** A sheet that lies, for a table of days; it has one page. @param string $size `A4` or `A3` */
    public static function lying(string $title, string $foot, string $size): self
    {
        $pdf = new self('L', 'mm', $size, true, 'UTF-8');
        $pdf->foot = $foot;
        $pdf->SetCreator('Jorvel');
        $pdf->SetTitle($title);
        $pdf->setPrintHeader(false);
        $pdf->SetMargins(14, 12, 14);
        $pdf->SetAutoPageBreak(false);
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

    /** A warning, boxed, before its step. */
    public function box(string $text): void
    {
        $this->Ln(1);
        $this->SetFont('dejavusans', 'B', 9);
        $this->MultiCell(0, 0, $text, 1, 'L');
        $this->SetFont('dejavusans', '', 9);
    }

    /**
     * One step: its number, what to do, blanks or what was entered, and a box for the stamp.
     *
     * @param list<string> $asked
     * @param list<string> $entered
     */
    public function step(int $no, string $title, string $text, array $asked, array $entered, bool $done): void
    {
        $this->startTransaction();
        $page = $this->getPage();
        $this->stepLines($no, $title, $text, $asked, $entered, $done);
        // A step is not torn apart where it fits on one page.
        if ($this->getPage() === $page + 1 && $this->GetY() < 160) {
            $this->rollbackTransaction(true);
            $this->AddPage();
            $this->stepLines($no, $title, $text, $asked, $entered, $done);

            return;
        }
        $this->commitTransaction();
    }

    /** A photo at a step, small, with its words; one that is not there any more is named all the same. */
    public function photo(string $file, string $words): void
    {
        $size = is_file($file) ? @getimagesize($file) : false;
        $drawn = match ($size[2] ?? null) {
            IMAGETYPE_JPEG, IMAGETYPE_PNG => $file,
            IMAGETYPE_WEBP => self::redrawn($file),
            default => null,
        };
        if ($size === false || $drawn === null) {
            $this->SetX(34);
            $this->MultiCell(134, 0, "[photo] {$words}", 0, 'L');

            return;
        }
        $width = min(60.0, 45.0 * $size[0] / $size[1]);
        $height = $width * $size[1] / $size[0];
        if ($this->GetY() + $height + 6 > 280) {
            $this->AddPage();
        }
        [$x, $y] = [34.0, $this->GetY() + 1];
        $this->Image($drawn, $x, $y, $width, $height);
        $this->SetXY($x + $width + 3, $y);
        $this->MultiCell(70, 0, $words, 0, 'L');
        $this->SetY($y + $height + 1);
    }

    /** A WebP as the paper takes it: `@` and the bytes of a JPEG; null for one that is damaged. */
    private static function redrawn(string $file): ?string
    {
        $image = @imagecreatefromwebp($file);
        if ($image === false) {
            return null;
        }
        ob_start();
        imagejpeg($image, null, 85);

        return '@'.ob_get_clean();
    }

    /**
     * A drawing with its places marked by numbers, and the words of each beneath.
     *
     * @param list<array{at: array{float, float}, says: string}> $marks across and down, 0 to 1
     */
    public function figure(string $bytes, string $mime, float $ratio, string $title, array $marks): void
    {
        $width = min(120.0, 70.0 * $ratio);
        $height = $width / $ratio;
        if ($this->GetY() + $height + 12 > 280) {
            $this->AddPage();
        }
        [$x, $y] = [30.0, $this->GetY() + 1.5];
        $mime === 'image/png'
            ? $this->Image("@{$bytes}", $x, $y, $width, $height)
            : $this->ImageSVG("@{$bytes}", $x, $y, $width, $height);
        $this->Rect($x, $y, $width, $height);
        $this->SetFont('dejavusans', 'B', 7);
        foreach ($marks as $n => $mark) {
            [$cx, $cy] = [$x + $mark['at'][0] * $width, $y + $mark['at'][1] * $height];
            $this->Circle($cx, $cy, 2.2, 0, 360, 'DF', [], [255, 255, 255]);
            $this->SetXY($cx - 2.2, $cy - 1.6);
            $this->Cell(4.4, 3.2, (string) ($n + 1), 0, 0, 'C');
        }
        $this->SetFont('dejavusans', '', 8);
        $this->SetXY($x, $y + $height + 1);
        $words = array_map(
            static fn(array $m, int $n): string => str_replace(' ', "\u{00A0}", ($n + 1)." {$m['says']}"),
            $marks,
            array_keys($marks),
        );
        $this->MultiCell(138, 0, implode('    ', [$title, ...$words]), 0, 'L');
        $this->SetFont('dejavusans', '', 9);
    }

    /**
     * @param list<string> $asked
     * @param list<string> $entered
     */
    private function stepLines(int $no, string $title, string $text, array $asked, array $entered, bool $done): void
    {
        $this->Ln(1.5);
        $top = $this->GetY();
        $from = $this->getPage();
        $this->SetFont('dejavusans', 'B', 9);
        $this->MultiCell(10, 0, (string) $no, 0, 'R', false, 0);
        $this->SetX(30);
        $this->MultiCell(138, 0, $title, 0, 'L');
        $this->SetFont('dejavusans', '', 9);
        foreach (array_filter([$text, ...$asked]) as $line) {
            $this->SetX(30);
            $this->MultiCell(138, 0, $line, 0, 'L');
        }
        foreach ($entered as $line) {
            $this->SetX(34);
            $this->MultiCell(134, 0, $line, 0, 'L');
        }
        if (! $done) {
            $bottom = [$this->getPage(), $this->GetY()];
            $this->setPage($from);
            $this->Rect(172, $top, 20, 9);
            $this->setPage($bottom[0]);
            $this->SetY(max($bottom[1], $bottom[0] === $from ? $top + 10 : 0));
        }
        $this->SetDrawColor(190);
        $this->Line(18, $this->GetY() + 0.8, 192, $this->GetY() + 0.8);
        $this->SetDrawColor(0);
    }
}
