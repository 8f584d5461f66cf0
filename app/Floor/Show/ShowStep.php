<?php

declare(strict_types=1);

namespace App\Floor\Show;

use App\Floor\Do\Flows;
use App\Floor\Do\Work\CallClear;
use App\Floor\Do\Work\Meet;
use App\Floor\FloorWords;
use App\Floor\Model\Card;
use App\Floor\Model\CircuitPoint;
use App\Floor\Model\Reading;
use App\Floor\Model\Remark;
use App\Floor\Model\Step;
use App\Floor\Show\View\ExchangeView;
use App\Floor\Show\View\HoldView;
use App\Floor\Show\View\PointView;
use App\Floor\Show\View\ReadingView;
use App\Floor\Show\View\RemarkView;
use App\Floor\Show\View\StepView;
use App\Floor\StepWords;
use App\Floor\TestStepWords;
use App\Now\CardFile;
use App\Now\LoadCard;
use App\Shared\Clock;
use App\Shared\Words;
use Illuminate\Support\Collection;
use Jorvel\Core\Floor\MayNotApply;
use Jorvel\Core\Floor\StepOrder;
use Jorvel\Core\Floor\StepPlace;
use Jorvel\Core\Floor\TakeBack;
use Jorvel\Core\Shared\Instant;
use Jorvel\Core\Shared\Unit;

/** The steps of a card, each with what was entered at it. */
final readonly class ShowStep
{
    public function __construct(
        private Clock $clock,
        private Flows $flows,
        private ShowExchange $exchanges,
        private ShowBefore $before,
        private ShowRun $runs,
        private ShowGround $ground,
    ) {}

    /**
     * @param array<int, list<HoldView>> $holds by step number
     *
     * @return list<StepView>
     */
    public function all(CardFile $file, array $holds): array
    {
        $order = $file->now->order();
        $card = $file->card;
        $beside = self::beside($card);
        $exchanges = $this->exchanges->of($card);
        $before = $this->before->of($card);

        return array_values($card->steps->map(
            fn(Step $s): StepView => $this->step(
                $file,
                $s,
                $holds[$s->no] ?? [],
                $order,
                $beside,
                $exchanges[$s->no] ?? null,
                $before[$s->no] ?? null,
            ),
        )->all());
    }

    /**
     * Some points of a round after something was said of them; nothing else of the card has changed by that.
     *
     * @param list<string> $ids
     *
     * @return list<PointView> in the order of the round
     */
    public function pointsOf(Step $step, array $ids): array
    {
        $said = CircuitPoint::with('person')->where(['step_id' => $step->id, 'stands' => true])
            ->whereIn('point', $ids)->get();

        return $this->points($step, $said, $ids);
    }

    /**
     * @return array{Collection<int, Remark>, Collection<int, CircuitPoint>} remarks, and points of rounds that stand
     */
    private static function beside(Card $card): array
    {
        $rounds = $card->steps->where('kind', 'circuit')->pluck('id');

        return [
            Remark::with('person')->where('card_id', $card->id)->orderBy('id')->get(),
            $rounds->isEmpty() ? collect() : CircuitPoint::with('person')
                ->whereIn('step_id', $rounds)->where('stands', true)->get(),
        ];
    }

    /**
     * @param Collection<int, CircuitPoint> $said
     * @param list<string>|null $only of these; of all where null
     *
     * @return list<PointView> in the order of the round
     */
    private function points(Step $step, Collection $said, ?array $only = null): array
    {
        $of = $said->keyBy('point');
        $points = $only === null ? $step->spec['points'] : array_values(array_filter(
            $step->spec['points'],
            static fn(array $p): bool => in_array((string) $p['id'], $only, true),
        ));

        return array_map(function (array $p) use ($of): PointView {
            $is = $of->get($p['id']);
            $found = $is !== null && str_starts_with($is->entry, 'F');

            return new PointView(
                (string) $p['id'],
                $p['place'],
                $is === null ? 'open' : ($found ? 'found' : ($is->verdict === 'pass' ? 'seen' : 'failed')),
                $is->entry ?? '',
                $is?->verdict,
                $is === null ? null : "{$is->person->name} ({$is->person->stamp})",
                $is === null ? null : $this->clock->local($is->at),
            );
        }, $points);
    }

    /** The mark that a step wants met, as it was noted. */
    private static function mark(Step $step): ?string
    {
        $made = Meet::markOf($step);
        $mark = $made?->result['mark'] ?? null;

        return match (true) {
            $made === null || $mark === null => null,
            isset($made->spec['unit']) => Words::number((float) $mark, 4).' '.Unit::parse($made->spec['unit'])->label(),
            default => (string) $mark,
        };
    }

    /**
     * The calls of a roll-call with their local time, and whether each still stands.
     *
     * @return array<string, mixed>
     */
    private function result(Step $step): array
    {
        $result = $step->result ?? [];
        if (isset($result['second'])) {
            $result['second']['said'] = "{$result['second']['name']}, ".$this->clock->local(
                Instant::parse($result['second']['at']),
            );
        }
        foreach ($result['calls'] ?? [] as $place => $call) {
            $at = Instant::parse($call['at']);
            $result['calls'][$place] += [
                'said' => 'called at '.$this->clock->time($at),
                'stands' => $this->clock->now()->epoch() - $at->epoch() <= CallClear::stands($step),
            ];
        }

        return $result;
    }

    /**
     * @param list<HoldView> $holds
     * @param list<StepPlace> $order of the card
     * @param array{Collection<int, Remark>, Collection<int, CircuitPoint>} $beside of the card
     */
    private function step(
        CardFile $file,
        Step $step,
        array $holds,
        array $order,
        array $beside,
        ?ExchangeView $exchange = null,
        ?string $last = null,
    ): StepView {
        $card = $file->card;
        $is = $file->now->step($step->no) ?? LoadCard::step($step);
        [$remarks, $points] = $beside;
        $before = $step->settled() ? null : StepOrder::blocking($order, $step->no);
        $held = $step->started_at === null ? null : max(
            0,
            $this->clock->now()->epoch() - $step->started_at->epoch(),
        );

        return new StepView(
            $step->no,
            $step->kind,
            $step->title,
            $step->text,
            (object) $this->flows->shown($step),
            $step->state->value,
            $before === null ? null : "Step {$before} comes first.",
            $step->acts(),
            $holds,
            $step->settled() ? TakeBack::falls($file->now, $step->no) : [],
            $step->started_at === null ? null : (string) $step->started_at,
            $held,
            (object) $this->result($step),
            $step->doer === null ? null : "{$step->doer->name} ({$step->doer->stamp})",
            $step->done_at === null ? null : $this->clock->local($step->done_at),
            array_values($card->readings->where('step_id', $step->id)
                ->map(fn(Reading $r): ReadingView => $this->reading($step, $r))->all()),
            $this->runs->all($step, $step->runs),
            $step->settled() || $is->unmet === null ? null : ucfirst(FloorWords::unmet($is->unmet)).'.',
            ! $step->settled() && MayNotApply::by($file->now, $is),
            $step->kind === 'circuit' ? $this->points($step, $points->where('step_id', $step->id)) : [],
            array_values($remarks->where('step_id', $step->id)->map(fn(Remark $r): RemarkView => new RemarkView(
                $r->text,
                "{$r->person->name} ({$r->person->stamp})",
                $this->clock->local($r->at),
                $r->photo_id === null ? null : "/api/photos/{$r->photo_id}",
            ))->all()),
            $step->kind === 'meet' ? self::mark($step) : null,
            FloorWords::handles($is->handling),
            $exchange,
            isset($step->result['rate']) ? FloorWords::uplift($step->result, $step->spec) : null,
            $step->settled() ? StepWords::wentThrough($step, $step->result ?? []) : [],
            $step->settled() ? null : $this->ground->of($step),
            $last,
        );
    }

    private function reading(Step $step, Reading $r): ReadingView
    {
        return new ReadingView(
            $step->kind === 'sheet' ? TestStepWords::place($step, $r->point) : $r->point,
            $r->kind->value,
            $r->run,
            $r->value,
            Unit::parse($r->unit)->label(),
            $r->verdict,
            FloorWords::reading($r->verdict, $r->margin, $r->unit),
            $r->tool?->code,
            $r->taker->name,
            $this->clock->local($r->at),
            $r->stands,
        );
    }
}
