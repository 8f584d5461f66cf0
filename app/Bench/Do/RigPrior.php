<?php

declare(strict_types=1);

namespace App\Bench\Do;

use App\Bench\Model\RigLesson;
use App\Bench\UnitChanges;
use App\Floor\Model\Card;
use App\Floor\Model\Step;
use App\Shared\Clock;
use App\Shared\Words;
use Illuminate\Support\Collection;
use Jorvel\Core\Bench\Rigging\FleetEffect;
use Jorvel\Core\Bench\Rigging\RigModel;

/**
 * What is believed of a linkage before it is touched: what its own last rigging taught; after a unit of its system was
 * changed, or where it was never rigged, what the fleet taught; else the book.
 */
final readonly class RigPrior
{
    public function __construct(private Clock $clock) {}

    /** @return array{story: string, effects: array<string, array<string, array{mean: float, sd: float}>>} */
    public function of(Step $step, RigModel $model): array
    {
        $card = $step->card;
        $lessons = RigLesson::with('aircraft')->where('model', self::model($step))->where('stands', true)
            ->orderBy('id')->get();
        $own = $lessons->where('aircraft_id', $card->aircraft_id)->last();
        if ($own !== null && ! $this->changedSince($card, $own)) {
            return [
                'story' => "Begun from what {$own->aircraft->mark} showed when it was rigged on "
                    .$this->clock->words($own->at->dayIn($this->clock->zone())).', '.Words::count($own->runs, 'run')
                        .'.',
                'effects' => $model->begunFrom($own->effects)->believed(),
            ];
        }
        $others = $lessons->where('aircraft_id', '!=', $card->aircraft_id)
            ->keyBy('aircraft_id')->values();
        $new = $own === null ? '' : ' A unit was changed since this one was rigged.';

        return $others->isEmpty()
            ? ['story' => "Begun from the book; nobody has learned more yet.{$new}", 'effects' => $model->believed()]
            : [
                'story' => 'Begun from what '.Words::count($others->count(), 'other').' of the fleet showed, '
                    .Words::count((int) $others->sum('runs'), 'run').".{$new}",
                'effects' => $model->begunFrom(self::fleet($others, $model))->believed(),
            ];
    }

    /** By what name the lessons of a sheet are kept. */
    public static function model(Step $step): string
    {
        return "{$step->card->template->code} {$step->title}";
    }

    /**
     * @param Collection<int, RigLesson> $lessons the last of each other aircraft
     *
     * @return array<string, array<string, array{mean: float, sd: float}>>
     */
    private static function fleet(Collection $lessons, RigModel $model): array
    {
        $out = [];
        foreach ($model->effects as $adjuster => $row) {
            foreach ($row as $point => $book) {
                $known = [];
                foreach ($lessons as $lesson) {
                    $effect = $lesson->effect($adjuster, $point);
                    if ($effect !== null) {
                        $known[] = [$lesson->runs, $effect];
                    }
                }
                if ($known !== []) {
                    $is = FleetEffect::of($known, $book);
                    $out[$adjuster][$point] = ['mean' => $is->mean, 'sd' => $is->sd];
                }
            }
        }

        return $out;
    }

    /** Whether a unit of its system was put on after a rigging. */
    private function changedSince(Card $card, RigLesson $lesson): bool
    {
        foreach (UnitChanges::on([$card->aircraft_id])->ofSystem($card) as $at) {
            if ($at->epoch() > $lesson->at->epoch()) {
                return true;
            }
        }

        return false;
    }
}
