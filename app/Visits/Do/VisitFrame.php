<?php

declare(strict_types=1);

namespace App\Visits\Do;

use App\Deferrals\Model\DeferralCard;
use App\Floor\Model\Card;
use App\Library\Model\CardTemplate;
use App\Library\Model\Panel;
use App\Visits\Model\Visit;
use Illuminate\Database\Eloquent\Collection;
use Illuminate\Support\Facades\DB;
use Jorvel\Core\Deferrals\Stage;
use Jorvel\Core\Visits\VisitOrder;
use Jorvel\Core\Visits\VisitStage;
use Jorvel\Core\Visits\VisitTask;

/**
 * What a visit needs besides its items: panels opened and closed once, jacks, and for more than a day's work induction,
 * making safe and a last look. A type without a template for one of these has no card for it. Then what each card waits
 * for.
 */
final readonly class VisitFrame
{
    public function __construct(private MakeCard $make) {}

    public function complete(Visit $visit): void
    {
        $cards = $visit->cards()->get();
        $templates = CardTemplate::where('type_id', $visit->aircraft->type_id)->whereNotNull('makes')
            ->get()
            ->keyBy('makes');
        $panels = Panel::where('type_id', $visit->aircraft->type_id)->get()->keyBy('code');
        $made = array_fill_keys(
            array_filter($cards->reject(
                static fn(Card $c): bool => $c->worked() && str_starts_with((string) $c->makes, 'close:'),
            )->pluck('makes')->all()),
            true,
        );
        $n = $visit->cardsMade();
        $add = function (string $makes, array $own = []) use ($visit, $templates, &$made, &$n): void {
            $template = $templates->get(explode(':', $makes)[0]);
            if ($template !== null && ! isset($made[$makes])) {
                ($this->make)($visit, $template, ++$n, [...$own, 'makes' => $makes]);
                $made[$makes] = true;
            }
        };
        $raised = $cards->contains(static fn(Card $c): bool => ($c->configuration['jacks'] ?? null) === 'on');
        if ($raised || $cards->sum('hours') >= (float) config('jorvel.whole_visit_hours')) {
            array_map($add, ['induct', 'safe', 'last']);
        }
        if ($raised) {
            $add('raise');
            $add('lower');
        }
        $open = $cards->reject(static fn(Card $c): bool => $c->worked());
        foreach ($open->pluck('panels')->flatten()->unique()->sort() as $code) {
            if (! isset($made["close:{$code}"])) {
                // Never opened yet, or closed again since.
                unset($made["open:{$code}"]);
            }
            $panel = $panels->get($code);
            $add(
                "open:{$code}",
                [
                    'title' => "Open panel {$code}".($panel === null ? '' : ", {$panel->title}"),
                    'zone' => $panel->zone ?? 'whole aircraft',
                    'hours' => $panel->open_hours ?? 0.5,
                ],
            );
            $add(
                "close:{$code}",
                [
                    'title' => "Close panel {$code}".($panel === null ? '' : ", {$panel->title}"),
                    'zone' => $panel->zone ?? 'whole aircraft',
                    'hours' => $panel->close_hours ?? 0.5,
                ],
            );
        }
        $this->order($visit->cards()->with(['finding', 'template:id,code,after'])->get());
    }

    /** @param Collection<int, Card> $cards */
    private function order(Collection $cards): void
    {
        $closing = self::closing($cards);
        $waits = VisitOrder::of(array_values($cards->map(static fn(Card $c): VisitTask => new VisitTask(
            (string) $c->id,
            $c->stage,
            $c->panels,
            $c->configuration['jacks'] ?? null,
            in_array($c->makes, ['induct', 'safe', 'last', 'fix', ...Card::OWN_STEPS], true) ? null : $c->makes,
            [
                ...$c->finding === null ? [] : [(string) $c->finding->card_id],
                ...self::before($c, $cards),
                ...self::set($c, $cards),
                ...$closing[$c->id] ?? [],
            ],
        ))->all()));
        $ids = $cards->modelKeys();
        DB::table('card_waits')->whereIn('card_id', $ids)->delete();
        $rows = [];
        foreach ($waits as $id => $after) {
            foreach ($after as $other) {
                $rows[] = ['card_id' => (int) substr($id, 1), 'after_id' => (int) $other];
            }
        }
        foreach (array_chunk($rows, 300) as $some) {
            DB::table('card_waits')->insert($some);
        }
    }

    /**
     * The cards that close a deferral come in their order: the fix, the reverse of what made it safe, the tests.
     *
     * @param Collection<int, Card> $cards
     *
     * @return array<int, list<string>> ids of those before it, by card
     */
    private static function closing(Collection $cards): array
    {
        $before = [];
        foreach (DeferralCard::whereIn('card_id', $cards->modelKeys())->get()->groupBy('deferral_id') as $parts) {
            foreach ($parts as $part) {
                $at = self::place($part);
                $before[$part->card_id] = array_values($parts
                    ->filter(static fn(DeferralCard $p): bool => self::place($p) < $at)
                    ->map(static fn(DeferralCard $p): string => (string) $p->card_id)->all());
            }
        }

        return $before;
    }

    private static function place(DeferralCard $part): int
    {
        return (int) array_search($part->stage(), [null, ...Stage::cases()], true);
    }

    /**
     * The other cards of an item that is a set: its own card closes them.
     *
     * @param Collection<int, Card> $cards
     *
     * @return list<string> ids
     */
    private static function set(Card $card, Collection $cards): array
    {
        $set = $card->item_id === null || $card->of_set ? [] : $cards->where('of_set', true)
            ->where('item_id', $card->item_id)->where('component_id', $card->component_id)->modelKeys();

        return array_map(strval(...), array_values($set));
    }

    /**
     * What the template itself puts before a card, where the stages of the visit do not have it the other way round.
     *
     * @param Collection<int, Card> $cards
     *
     * @return list<string> ids
     */
    private static function before(Card $card, Collection $cards): array
    {
        $stage = static fn(Card $c): int => (int) array_search($c->stage, VisitStage::cases(), true);
        $first = $cards->whereIn('template.code', $card->template->after ?? [])->filter(
            static fn(Card $c): bool => $stage($c) <= $stage($card)
                && ! in_array($card->template->code, $c->template->after ?? [], true),
        );

        return array_values($first->map(static fn(Card $c): string => (string) $c->id)->all());
    }
}
