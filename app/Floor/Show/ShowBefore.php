<?php

declare(strict_types=1);

namespace App\Floor\Show;

use App\Floor\Model\Card;
use App\Floor\Model\Reading;
use App\Floor\Model\Step;
use App\Shared\Clock;
use App\Shared\Words;
use Illuminate\Support\Collection;
use Jorvel\Core\Bench\UsualRange;
use Jorvel\Core\Shared\Quantity;
use Jorvel\Core\Shared\Unit;

/** What a step is told beside: how it felt last time, and what the fleet usually reads there. */
final readonly class ShowBefore
{
    public function __construct(private Clock $clock) {}

    /** @return array<int, string> by number of the step; nothing is read where no step asks for it */
    public function of(Card $card): array
    {
        $graded = $card->steps->filter(static fn(Step $s): bool => ($s->spec['graded'] ?? false) && ! $s->settled());
        $advised = $card->steps->filter(
            static fn(Step $s): bool => isset($s->spec['reading']['advised']) && ! $s->settled(),
        );

        return ($graded->isEmpty() ? [] : $this->felt($card, $graded))
            + ($advised->isEmpty() ? [] : $this->usual($card, $advised));
    }

    /**
     * @param Collection<int, Step> $steps
     *
     * @return array<int, string>
     */
    private function felt(Card $card, Collection $steps): array
    {
        $last = Card::with('steps')->where([
            'aircraft_id' => $card->aircraft_id, 'template_id' => $card->template_id, 'state' => Card::CLOSED,
        ])->whereNot('id', $card->id)->orderByDesc('id')->first();
        $key = static fn(Step $s): string => $s->title.'@'.($s->spec['each']['position'] ?? '');
        $then = $last?->steps->filter(static fn(Step $s): bool => isset($s->result['said']) && $s->done_at !== null)
            ->keyBy($key);
        $out = [];
        foreach ($steps as $step) {
            $was = $then?->get($key($step));
            if ($was !== null && $was->done_at !== null) {
                $out[$step->no] = "Last time: {$was->result['said']}, "
                    .$this->clock->words($was->done_at->dayIn($this->clock->zone()));
            }
        }

        return $out;
    }

    /**
     * @param Collection<int, Step> $steps
     *
     * @return array<int, string>
     */
    private function usual(Card $card, Collection $steps): array
    {
        $points = $steps->map(static fn(Step $s): string => $s->spec['reading']['point'])->unique()->values();
        $read = Reading::whereIn('point', $points)->where(['stands' => true, 'verdict' => 'pass'])
            ->whereNot('card_id', $card->id)
            ->whereIn('card_id', Card::where('template_id', $card->template_id)->select('id'))
            ->orderByDesc('id')->limit(UsualRange::LAST * $points->count() * 3)->get(['point', 'value', 'unit'])
            ->groupBy('point');
        $out = [];
        foreach ($steps as $step) {
            $unit = Unit::parse($step->spec['reading']['limit']['unit']);
            $of = ($read->get($step->spec['reading']['point']) ?? collect())->map(
                static fn(Reading $r): Quantity => Quantity::of($r->value, Unit::parse($r->unit)),
            );
            $usual = UsualRange::of(array_values($of->all()), $unit);
            if ($usual !== null) {
                $out[$step->no] = "The fleet's last {$usual->count}: "
                    .Words::number($usual->lowest, 3).' to '.Words::number($usual->highest, 3)." {$unit->label()}";
            }
        }

        return $out;
    }
}
