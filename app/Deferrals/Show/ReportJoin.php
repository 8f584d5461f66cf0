<?php

declare(strict_types=1);

namespace App\Deferrals\Show;

use App\Deferrals\Model\ListedItem;
use App\Deferrals\Model\Report;
use App\Fleet\Model\FlyingEntry;
use App\Library\Model\CardTemplate;
use App\Now\LoadListed;
use App\Shared\Clock;
use App\Shared\Memo;
use Illuminate\Support\Collection;
use Jorvel\Core\Deferrals\ChapterGuess;
use Jorvel\Core\Deferrals\SameDefect;
use Jorvel\Core\Floor\Recent;

/** What a report belongs to: the chapter that its words speak of, and the same defect before. */
final readonly class ReportJoin
{
    public function __construct(private Clock $clock, private LoadListed $listed, private Memo $memo) {}

    /** @return list<array{chapter: string, words: list<string>}> proposed, the likeliest first */
    public function chapters(int $typeId, string $text): array
    {
        return ChapterGuess::of($text, $this->memo->of(
            "chapter words {$typeId}",
            ['listed_items', 'card_templates'],
            fn(): array => [
                ...array_map(static fn(ListedItem $i): array => [
                    'chapter' => $i->chapter, 'words' => [...$i->terms()->words, $i->terms()->system],
                ], $this->listed->of($typeId)),
                ...CardTemplate::where('type_id', $typeId)->whereNull('makes')->get(['section', 'title'])
                    ->map(static fn(CardTemplate $t): array
                        => ['chapter' => $t->section, 'words' => self::words($t->title)])
                    ->filter(static fn(array $w): bool => preg_match('/^\d{2}-\d{2}$/', $w['chapter']) === 1
                        // What is looked at for its own sake is named after its place, which says nothing of a defect.
                        && preg_match('/^(05|12|5[1-7]|..-00)/', $w['chapter']) !== 1),
            ],
        ));
    }

    /** @return list<string> long enough to mean something */
    private static function words(string $title): array
    {
        preg_match_all('/\pL{5,}/u', mb_strtolower($title), $m);

        return array_values(array_diff(
            $m[0],
            ['check', 'inspection', 'detailed', 'change', 'function', 'overhaul', 'expiry'],
        ));
    }

    /** The same defect of the aircraft, ended not long ago; null where there is none. */
    public function repeatOf(Report $report): ?Report
    {
        if ($report->chapter === null) {
            return null;
        }
        $recent = Recent::within((int) config('jorvel.repeat_days'), (int) config('jorvel.repeat_flights'));
        $zone = $this->clock->zone();
        $day = $report->happened_at->dayIn($zone);
        $flights = FlyingEntry::where(['aircraft_id' => $report->aircraft_id, 'current' => true])
            ->where('date', '>=', (string) $this->clock->today()->plusDays(-(int) config('jorvel.history_days')))
            ->get(['date', 'flown']);

        return $this->earlier($report)
            ->first(static function (Report $r) use ($report, $recent, $zone, $day, $flights): bool {
                $ended = ($r->finding->settled_at ?? $r->ended_at ?? $r->happened_at)->dayIn($zone);
                $flown = (int) $flights->filter(static fn(FlyingEntry $e): bool
                    => $e->date->number > $ended->number && $e->date->number <= $day->number)
                    ->sum(static fn(FlyingEntry $e): int => (int) ($e->flown['ldg'] ?? 0));

                return $recent->holds($ended, $day, $flown)
                    && SameDefect::is((string) $report->chapter, $report->text, (string) $r->chapter, $r->text);
            });
    }

    /** @return Collection<int, Report> those of its aircraft from before that are ended, the last first */
    private function earlier(Report $report): Collection
    {
        return Report::with('finding')->where('aircraft_id', $report->aircraft_id)->whereNot('state', Report::OPEN)
            ->where('happened_at', '<', (string) $report->happened_at)
            ->whereNotNull('chapter')
            ->where('id', '!=', $report->id)
            ->orderByDesc('happened_at')
            ->limit(200)
            ->get();
    }
}
