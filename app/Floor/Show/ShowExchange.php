<?php

declare(strict_types=1);

namespace App\Floor\Show;

use App\Fleet\ComponentWords;
use App\Fleet\Model\Component;
use App\Fleet\Model\ComponentTenure;
use App\Floor\Model\Card;
use App\Floor\Model\Exchange;
use App\Floor\Model\Step;
use App\Floor\Show\View\ExchangeView;
use App\Shared\Clock;
use Jorvel\Core\Fleet\ComponentTag;

/** The units that the steps of a card exchange. */
final readonly class ShowExchange
{
    public function __construct(private Clock $clock) {}

    /** @return array<int, ExchangeView> by number of the step */
    public function of(Card $card): array
    {
        $steps = $card->steps->where('kind', 'exchange');
        if ($steps->isEmpty()) {
            return [];
        }
        $there = ComponentTenure::with('component')->where('aircraft_id', $card->aircraft_id)->whereNull('to_date')
            ->whereIn('position', $steps->map(static fn(Step $s): string => $s->spec['position']))
            ->get()->keyBy('position');
        $done = Exchange::with('unitOff', 'offBy')->where(['card_id' => $card->id, 'stands' => true])->get()
            ->keyBy('step_id');
        $stored = Component::whereDoesntHave('tenure')->where('tag', ComponentTag::Serviceable)
            ->whereIn('kind', $steps->map(static fn(Step $s): string => $s->spec['component']))
            ->orderBy('serial')->get()->groupBy('kind');

        return $steps->mapWithKeys(fn(Step $s): array => [$s->no => new ExchangeView(
            $there->get($s->spec['position'])?->component->name(),
            $this->off($done->get($s->id)),
            array_values($stored->get($s->spec['component'])?->pluck('serial')->all() ?? []),
        )])->all();
    }

    private function off(?Exchange $exchange): ?string
    {
        if ($exchange?->unitOff === null || $exchange->tag === null || $exchange->off_at === null) {
            return null;
        }

        return "{$exchange->unitOff->name()}, tagged ".ComponentWords::tag($exchange->tag).": {$exchange->why}. "
            ."{$exchange->offBy?->name}, {$this->clock->local($exchange->off_at)}";
    }
}
