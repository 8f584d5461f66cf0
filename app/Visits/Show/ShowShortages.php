<?php

declare(strict_types=1);

namespace App\Visits\Show;

use App\Crew\Do\Rotas;
use App\Floor\Model\Card;
use App\Now\HangarHours;
use App\Shared\Clock;
use App\Stores\Model\Part;
use App\Stores\Model\Tool;
use App\Stores\Model\ToolState;
use App\Visits\Model\Visit;
use Illuminate\Database\Eloquent\Collection;
use Illuminate\Support\Facades\DB;
use Jorvel\Core\Shared\Day;
use Jorvel\Core\Shared\Instant;
use Jorvel\Core\Visits\CardNeeds;
use Jorvel\Core\Visits\Shortage;
use Jorvel\Core\Visits\Shortages;

/** What the cards of a visit will lack on their day, in words, while there is time to do something about it. */
final readonly class ShowShortages
{
    public function __construct(private Clock $clock, private HangarHours $hangar, private Rotas $rotas) {}

    /**
     * @param Visit $visit with `aircraft.type`
     * @param Collection<int, Card> $cards of the visit
     *
     * @return array<int, list<string>> by card id; parts that other visits' earlier cards have reserved count as gone
     */
    public function of(Visit $visit, Collection $cards): array
    {
        $titles = $numbers = $stock = $coming = [];
        $today = $this->clock->today();
        foreach (Part::with(['orders', 'batches'])->get() as $part) {
            $numbers[$part->id] = $part->number;
            [$titles[$part->number], $stock[$part->number]] = [$part->title, $part->usable($today)];
            $coming[$part->number] = array_values($part->orders->map(static fn($o): array => [
                (int) $o->quantity,
                Day::parse($o->expected),
            ])->all());
        }
        $open = $this->reserved($visit->id);
        $needs = [
            ...array_map(
                fn(int $id, array $of): CardNeeds => new CardNeeds(
                    "other-{$id}",
                    $this->day($of['planned'], $of['start']),
                    self::numbered($of['parts'], $numbers),
                    [],
                    [],
                ),
                array_keys($open),
                $open,
            ),
            ...$cards->reject(static fn(Card $c): bool => $c->worked())->map(fn(Card $c): CardNeeds => new CardNeeds(
                (string) $c->id,
                $this->day($c->planned_start, $visit->start),
                self::numbered($c->parts->pluck('quantity', 'part_id')->all(), $numbers),
                $c->tools,
                $c->needs ?? [$c->skill => 1],
            ))->all(),
        ];
        $short = [];
        foreach ((new Shortages(
            $stock,
            $coming,
            $this->tools(),
            $this->rotas->of($this->hangar->base($visit)),
        ))->of($needs, $visit->aircraft->type->code) as $s) {
            if (! str_starts_with($s->card, 'other-')) {
                $short[(int) $s->card][] = $this->words(
                    $s,
                    $titles[$s->what] ?? $s->what,
                    $visit->aircraft->type->code,
                );
            }
        }

        return $short;
    }

    /**
     * @return array<int, array{planned: Instant|null, start: Day, parts: array<int, int>}> what other visits' open
     *   cards need of parts, by card
     */
    private function reserved(int $visitId): array
    {
        $rows = DB::table('card_parts')->join('cards', 'cards.id', '=', 'card_parts.card_id')
            ->join('visits', 'visits.id', '=', 'cards.visit_id')
            ->whereNot('cards.state', Card::CLOSED)
            ->whereNot('visits.id', $visitId)
            ->whereNot('visits.state', Visit::RELEASED)
            ->orderBy('cards.id')
            ->get(['cards.id', 'cards.planned_start', 'visits.start', 'card_parts.part_id', 'card_parts.quantity']);
        $open = [];
        foreach ($rows as $row) {
            $open[(int) $row->id] ??= [
                'planned' => $row->planned_start === null ? null : Instant::parse($row->planned_start),
                'start' => Day::parse($row->start),
                'parts' => [],
            ];
            $open[(int) $row->id]['parts'][(int) $row->part_id] = (int) $row->quantity;
        }

        return $open;
    }

    /**
     * @param array<int, int> $parts quantity by id
     * @param array<int, string> $numbers by id
     *
     * @return array<array-key, int> quantity by part number
     */
    private static function numbered(array $parts, array $numbers): array
    {
        $out = [];
        foreach ($parts as $id => $quantity) {
            $out[$numbers[$id]] = $quantity;
        }

        return $out;
    }

    private function day(?Instant $planned, Day $start): Day
    {
        $on = $planned === null ? $start : $planned->dayIn($this->clock->zone());

        return $on->number < $this->clock->today()->number ? $this->clock->today() : $on;
    }

    /** @return array<string, list<Day|null>> */
    private function tools(): array
    {
        $tools = [];
        foreach (Tool::whereNot('state', ToolState::OutOfUse)->orderBy('id')->get() as $tool) {
            $tools[$tool->kind][] = $tool->state === ToolState::In ? $tool->cal_due : null;
        }

        return $tools;
    }

    private function words(Shortage $s, string $title, string $type): string
    {
        $day = $s->day === null ? '' : $this->clock->words($s->day);

        return match ($s->code) {
            'part_missing' => "{$s->lacking} × {$s->what} {$title}: not in the store and none on order. Order it.",
            'part_late' => "{$s->what} {$title} comes on {$day}, after the card begins. Move the card, or press "
                .'the order.',
            'tool_out' => "no {$s->what} in calibration on that day".(
                $day === '' ? '' : ": the last runs out on {$day}"
            ).'. Have one calibrated.',
            'nobody' => "nobody with {$s->what} and a {$type} rating is at work on {$day}. Move the card, or ask "
                .'for somebody.',
            default => "{$s->lacking} too few with {$s->what} on {$day}. Move the card, or ask for more.",
        };
    }
}
