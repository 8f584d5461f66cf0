<?php

declare(strict_types=1);

namespace App\Visits\Show;

use App\Crew\Do\Rosters;
use App\Floor\Model\Card;
use App\Shared\Clock;
use App\Stores\Model\Part;
use App\Stores\Model\Tool;
use App\Visits\Do\HangarHours;
use App\Visits\Model\Visit;
use Illuminate\Database\Eloquent\Collection;
use Jorvel\Core\Shared\Day;
use Jorvel\Core\Shared\Instant;
use Jorvel\Core\Visits\CardNeeds;
use Jorvel\Core\Visits\Shortage;
use Jorvel\Core\Visits\Shortages;

/** What the cards of a visit will lack on their day, in words, while there is time to do something about it. */
final readonly class ShowShortages
{
    public function __construct(private Clock $clock, private HangarHours $hangar, private Rosters $rosters) {}

    /**
     * @param Visit $visit with `aircraft.type`
     * @param Collection<int, Card> $cards of the visit
     *
     * @return array<int, list<string>> by card id; parts that other visits' earlier cards have reserved count as gone
     */
    public function of(Visit $visit, Collection $cards): array
    {
        $titles = [];
        $stock = $coming = [];
        $today = $this->clock->today();
        foreach (Part::with(['orders', 'batches'])->get() as $part) {
            [$titles[$part->number], $stock[$part->number]] = [$part->title, $part->usable($today)];
            $coming[$part->number] = array_values($part->orders->map(static fn($o): array => [(int) $o->quantity, Day::parse($o->expected)])->all());
        }
        $open = Card::with(['visit:id,start', 'parts.part'])->whereNot('state', Card::CLOSED)->whereHas('parts')->whereNot('visit_id', $visit->id)->whereHas('visit', static fn($q) => $q->whereNot('state', Visit::RELEASED))->get();
        $needs = [
            ...$open->map(fn(Card $c): CardNeeds => new CardNeeds("other-{$c->id}", $this->day($c, $c->visit), $this->parts($c), [], []))->all(),
            ...$cards->reject(static fn(Card $c): bool => $c->worked())->map(fn(Card $c): CardNeeds => new CardNeeds((string) $c->id, $this->day($c, $visit), $this->parts($c), $c->tools, $c->needs ?? [$c->skill => 1]))->all(),
        ];
        $short = [];
        foreach ((new Shortages($stock, $coming, $this->tools(), $this->rosters->of($this->hangar->base($visit))))->of($needs, $visit->aircraft->type->code) as $s) {
            if (! str_starts_with($s->card, 'other-')) {
                $short[(int) $s->card][] = $this->words($s, $titles[$s->what] ?? $s->what, $visit->aircraft->type->code);
            }
        }

        return $short;
    }

    /** @return array<array-key, int> */
    private function parts(Card $card): array
    {
        $parts = [];
        foreach ($card->parts as $p) {
            $parts[$p->part->number] = $p->quantity;
        }

        return $parts;
    }

    private function day(Card $card, Visit $visit): Day
    {
        $on = $card->planned_start === null ? Day::parse($visit->start) : Instant::parse($card->planned_start)->dayIn($this->clock->zone());

        return $on->number < $this->clock->today()->number ? $this->clock->today() : $on;
    }

    /** @return array<string, list<Day|null>> */
    private function tools(): array
    {
        $tools = [];
        foreach (Tool::whereNot('state', Tool::GONE)->orderBy('id')->get() as $tool) {
            $tools[$tool->kind][] = $tool->state === Tool::IN ? Day::parse($tool->cal_due) : null;
        }

        return $tools;
    }

    private function words(Shortage $s, string $title, string $type): string
    {
        $day = $s->day === null ? '' : $this->clock->words($s->day);

        return match ($s->code) {
            'part_missing' => "{$s->lacking} × {$s->what} {$title}: not in the store and none on order. Order it.",
            'part_late' => "{$s->what} {$title} comes on {$day}, after the card begins. Move the card, or press the order.",
            'tool_out' => "no {$s->what} in calibration on that day".($day === '' ? '' : ": the last runs out on {$day}").'. Have one calibrated.',
            'nobody' => "nobody with {$s->what} and a {$type} rating is at work on {$day}. Move the card, or ask for somebody.",
            default => "{$s->lacking} too few with {$s->what} on {$day}. Move the card, or ask for more.",
        };
    }
}
