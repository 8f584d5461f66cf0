<?php

declare(strict_types=1);

namespace App\Visits\Do;

use App\Fleet\Model\AircraftType;
use App\Library\Model\CardTemplate;
use App\Library\Model\Panel;
use App\Library\Model\ProgrammeItem;
use App\Shared\Kept;
use App\Shared\Refused;
use App\Shared\Words;
use App\Visits\Show\View\PhasesView;
use App\Visits\Show\View\PhaseView;
use Jorvel\Core\Shared\Deadline;
use Jorvel\Core\Visits\PhaseResult;
use Jorvel\Core\Visits\Phases;

/**
 * A block cut into equal phases, beside the block as it is.
 *
 * The block is everything of a type's programme on the aircraft itself with a calendar interval of so many months or
 * more. A set of cards is cut card by card; a general part (chapter 05) that is one card is shared out evenly.
 */
final readonly class CutBlock
{
    private const BUDGET_MS = 1500;

    public function __construct(private Kept $kept) {}

    /** @throws Refused when there is nothing to cut */
    public function __invoke(?string $code, int $months, int $phases): PhasesView
    {
        $types = AircraftType::orderBy('code')->pluck('code');
        $type = AircraftType::where('code', $code ?? $types->first())->first()
            ?? throw Refused::because('There is no aircraft type yet.');
        $panels = Panel::where('type_id', $type->id)->get()
            ->mapWithKeys(static fn(Panel $p): array => [$p->code => $p->hours()])
            ->all();
        $items = $whole = $titles = [];
        foreach (ProgrammeItem::with(['template', 'set'])->where([
            'type_id' => $type->id,
            'withdrawn' => false,
        ])->whereNull('component')->orderBy('code')->get() as $item) {
            $long = array_filter(
                $item->limits,
                static fn(array $l): bool => $l['unit'] === 'months' && $l['interval'] >= $months,
            );
            if ($long === [] || $item->includes !== []) {
                continue;
            }
            $panels += array_fill_keys($item->panels(), 1.0);
            $whole[] = [$item->workHours(), $item->panels()];
            foreach (self::parts($item, $phases) as [$id, $title, $hours, $access]) {
                $titles[$id] = $title;
                $items[] = ['id' => $id, 'hours' => $hours, 'access' => $access, 'together' => null];
            }
        }
        $blockHours = (float) array_sum(array_column($whole, 0));
        $blockAccess = (float) array_sum(array_intersect_key(
            $panels,
            array_flip(array_merge(...array_column($whole, 1))),
        ));
        $result = $this->kept->of(
            'phases 1',
            [$items, $panels, $phases],
            static fn(): PhaseResult => Phases::cut($items, $panels, $phases, Deadline::in(self::BUDGET_MS)),
        );
        $totals = $result->totals();
        $cut = array_map(
            static fn(array $p, float $total, int $n): PhaseView => new PhaseView(
                $n + 1,
                array_map(static fn(string $id): string => "{$id} {$titles[$id]}", $p['items']),
                $p['hours'],
                $p['access_hours'],
                $total,
                $total / (float) config('jorvel.bay_day_hours'),
            ),
            $result->phases,
            $totals,
            array_keys($totals),
        );
        $block = $blockHours + $blockAccess;
        $more = array_sum($totals) - $block;
        $sentence = $items === []
            ? "Nothing of the {$type->code} programme has an interval of {$months} months or more."
            : ($phases === 1 ? 'One block of ' : "{$phases} phases of at most ").Words::number($result->longest())
            .' h in place of one block of '.Words::number($block).' h; '
            .($more < 0.05 ? 'no panel is opened twice.' : 'panels cost '.Words::number($more).' h more in all.');

        return new PhasesView(
            $type->code,
            $type->arrangement,
            $sentence,
            $phases,
            $months,
            $blockHours,
            $blockAccess,
            $block,
            $block / (float) config('jorvel.bay_day_hours'),
            $result->longest(),
            (float) array_sum($totals),
            (float) array_sum(array_column($result->phases, 'access_hours')),
            $result->lowerBound,
            $result->proven,
            $cut,
            array_values($types->all()),
        );
    }

    /**
     * What may go into a phase by itself.
     *
     * @return list<array{string, string, float, list<string>}> id, title, hours, panels
     */
    private static function parts(ProgrammeItem $item, int $phases): array
    {
        $own = array_values(array_unique([...$item->access, ...$item->template->panels ?? []]));
        if ($item->set->isNotEmpty()) {
            return [
                [$item->code, $item->title, $item->ownHours(), $own],
                ...array_values($item->set->map(static fn(CardTemplate $t): array => [
                    "{$item->code}, {$t->code}", $t->title, $t->hours, $t->panels ?? [],
                ])->all()),
            ];
        }
        $many = $item->chapter === '05' ? $phases : 1;

        return array_map(static fn(int $n): array => $many === 1
            ? [$item->code, $item->title, $item->ownHours(), $own]
            : ["{$item->code} part {$n}", "{$item->title}, part {$n}", $item->ownHours() / $many, $own], range(
                1,
                $many,
            ));
    }
}
