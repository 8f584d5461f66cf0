<?php

declare(strict_types=1);

namespace App\Visits\Show\Season;

use App\Fleet\Model\Aircraft;
use App\Shared\Paper;
use App\Visits\Model\Visit;
use DateTimeImmutable;
use Illuminate\Support\Collection;
use Jorvel\Core\Shared\Day;

/** A month of the season on one lying sheet: aircraft down, days across, visits to scale; a short one says where. */
final class SeasonSheet
{
    private const LEFT = 34.0;

    private const TOP = 30.0;

    private function __construct(private readonly Paper $paper) {}

    /**
     * @param Collection<int, Aircraft> $fleet
     * @param Collection<int, Visit> $visits that touch the month, in their order
     * @param callable(Day): string $date
     */
    public static function of(
        Day $from,
        Day $to,
        string $size,
        Collection $fleet,
        Collection $visits,
        callable $date,
    ): self {
        $month = (new DateTimeImmutable((string) $from))->format('F Y');
        $paper = Paper::lying("Season, {$month}", "Season, {$month}, as kept", $size);
        $paper->heading("Season, {$month}: ".($visits->count() === 1 ? 'one visit' : "{$visits->count()} visits"), 13);
        $days = $from->daysUntil($to) + 1;
        $wide = ($paper->getPageWidth() - 22 - self::LEFT) / $days;
        $high = min(9.0, ($paper->getPageHeight() - self::TOP - 22) / max(1, $fleet->count()));
        $paper->SetLineWidth(0.15);
        self::days($paper, $from, $days, $wide, $high * $fleet->count());
        foreach ($fleet->values() as $row => $aircraft) {
            $y = self::TOP + $row * $high;
            $paper->SetDrawColor(180);
            $paper->Line(14, $y, self::LEFT + 8 + $wide * $days, $y);
            $paper->SetFont('dejavusans', 'B', 7.5);
            $paper->Text(14, $y + $high / 2 - 2, "{$aircraft->mark} {$aircraft->type->code}");
            foreach ($visits->where('aircraft_id', $aircraft->id) as $visit) {
                self::visit($paper, $visit, $from, $to, $wide, $y, $high);
            }
        }

        return new self($paper);
    }

    /** The file. */
    public function text(): string
    {
        return $this->paper->Output('season.pdf', 'S');
    }

    private static function days(Paper $paper, Day $from, int $days, float $wide, float $high): void
    {
        $paper->SetFont('dejavusans', '', 6.5);
        for ($n = 0; $n < $days; $n++) {
            $day = $from->plusDays($n);
            $x = self::LEFT + 8 + $n * $wide;
            if ($day->weekday() > 5) {
                $paper->SetFillColor(236, 232, 222);
                $paper->Rect($x, self::TOP, $wide, $high, 'F');
            }
            $paper->SetXY($x, self::TOP - 5);
            $paper->Cell($wide, 4, (string) $day->dayOfMonth(), 0, 0, 'C');
        }
    }

    private static function visit(
        Paper $paper,
        Visit $visit,
        Day $from,
        Day $to,
        float $wide,
        float $y,
        float $high,
    ): void {
        $first = max(0, $from->daysUntil($visit->start));
        $last = min($from->daysUntil($to), $from->daysUntil($visit->end));
        $x = self::LEFT + 8 + $first * $wide;
        $width = ($last - $first + 1) * $wide;
        $paper->SetDrawColor(28, 107, 89);
        $paper->SetFillColor(225, 238, 232);
        $paper->Rect($x + 0.2, $y + 0.8, $width - 0.4, $high - 1.6, 'DF');
        $paper->SetFont('dejavusans', '', 6);
        $paper->SetXY($x + 0.4, $y + 0.9);
        $bay = trim(str_replace($visit->aircraft->base, '', $visit->bay)) ?: 'bay';
        $text = match (true) {
            $width > 26 => "{$visit->title}, {$visit->bay}", $width > 14 => $visit->title, default => $bay,
        };
        $paper->Cell($width - 0.8, $high - 1.8, self::cut($paper, $text, $width - 2.5), 0, 0, 'L');
    }

    /** As much of a text as fits. */
    private static function cut(Paper $paper, string $text, float $width): string
    {
        while ($text !== '' && $paper->GetStringWidth($text) > $width) {
            $text = mb_substr($text, 0, -1);
        }

        return $text;
    }
}
