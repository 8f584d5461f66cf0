<?php

declare(strict_types=1);

namespace App\Stores\Show;

use App\Crew\Model\Person;
use App\Floor\Model\Card;
use App\Shared\Clock;
use App\Stores\Model\CardPart;
use App\Stores\Model\FittedPart;
use App\Stores\Model\Part;
use App\Stores\Model\PartBatch;
use App\Stores\Model\PartMove;
use App\Stores\Model\PartOrder;
use App\Stores\Show\View\BatchView;
use App\Stores\Show\View\OrderView;
use App\Stores\Show\View\PartRoom;
use App\Stores\Show\View\StockMove;
use App\Stores\Show\View\StoreBatch;
use App\Stores\Show\View\StorePart;
use App\Stores\Show\View\WhereFitted;
use App\Stores\StoreWords;
use App\Visits\Model\Visit;
use Illuminate\Database\Eloquent\Builder;
use Illuminate\Support\Collection;
use Jorvel\Core\Shared\Day;
use Jorvel\Core\Stores\PartStock;

/** The parts of the store: what is short, what runs out, what is reserved for which card. */
final readonly class ShowParts
{
    private const STATES = [
        'short' => 'stop',
        'expired' => 'stop',
        'waiting' => 'watch',
        'soon' => 'watch',
        'enough' => 'clear',
    ];

    public function __construct(private Clock $clock) {}

    /** @return list<StorePart> what needs a look first */
    public function all(): array
    {
        $reserved = self::reserved()->get()->groupBy('part_id');
        $order = ['stop' => 0, 'watch' => 1, 'clear' => 2];

        return array_values(Part::with(['orders', 'batches'])->orderBy('number')->get()->map(
            fn(Part $p): StorePart => $this->part($p, $reserved->get($p->id) ?? collect()),
        )
            ->sortBy(static fn(StorePart $p): array => [$order[$p->state], $p->number])->all());
    }

    public function one(string $number, Person $me): PartRoom
    {
        $p = Part::with(['orders', 'batches.moves.person'])->where('number', $number)->firstOrFail();
        $view = $this->part($p, self::reserved()->where('part_id', $p->id)->get()->toBase());
        $fitted = FittedPart::with(['card.aircraft', 'person', 'batch'])->where('part_id', $p->id)
            ->orderByDesc('id')
            ->limit(200)
            ->get();
        $today = $this->clock->today();

        return new PartRoom(
            $view,
            "{$p->number} {$p->title}: {$view->said}.",
            array_values($p->batches->map(static fn(PartBatch $b): StoreBatch => new StoreBatch(
                $b->id,
                $b->batch,
                $b->quantity,
                $b->expires === null ? null : (string) $b->expires,
                $b->spent($today),
                $b->taken(),
            ))->all()),
            array_values(
                $p->orders
                    ->map(static fn(PartOrder $o): OrderView => new OrderView($o->id, $o->quantity, $o->expected))
                    ->all(),
            ),
            array_values($p->batches->flatMap(static fn(PartBatch $b) => $b->moves->each(
                static fn(PartMove $m) => $m->setRelation('batch', $b),
            ))->sortByDesc('id')->map(fn(PartMove $m): StockMove => new StockMove(
                $this->clock->local($m->at),
                $m->person?->name,
                $m->batch->batch,
                $m->kind->value,
                $m->quantity,
                $m->left,
                $m->paper,
            ))->all()),
            array_values($fitted->map(fn(FittedPart $f): WhereFitted => new WhereFitted(
                $this->clock->local($f->at),
                $f->card->aircraft->mark,
                $f->card->number,
                $f->card_id,
                $f->position,
                $f->batch?->batch,
                $f->quantity,
                $f->person->name,
                $f->stands,
            ))->all()),
            $me->can('edit', Part::class) ? ['edit'] : [],
        );
    }

    /** @return Builder<CardPart> what open cards of visits not yet released have reserved */
    private static function reserved(): Builder
    {
        return CardPart::with('card.aircraft')->whereHas(
            'card',
            static fn(Builder $q) => $q->whereNot('state', Card::CLOSED)->whereHas(
                'visit',
                static fn(Builder $v) => $v->whereNot('state', Visit::RELEASED),
            ),
        )
            ->orderBy('card_id');
    }

    /** @param list<StorePart> $parts */
    public static function sentence(array $parts): string
    {
        $look = array_values(array_filter($parts, static fn(StorePart $p): bool => $p->state === 'stop'));
        $first = $look[0] ?? null;

        return StoreWords::parts(
            count($parts),
            $first === null ? null : "{$first->number} {$first->title}: {$first->said}",
            count($look),
        );
    }

    /** @param Collection<int, CardPart> $for */
    private function part(Part $p, Collection $for): StorePart
    {
        $today = $this->clock->today();
        $wanted = (int) $for->sum('quantity');
        $batches = $p->batches->map(static fn(PartBatch $b): array => [
            $b->batch,
            $b->quantity,
            $b->expires === null ? null : $b->expires,
        ])
            ->all();
        $stock = PartStock::of(
            array_values($batches),
            $wanted,
            (int) $p->orders->sum('quantity'),
            $today,
            (int) config('jorvel.shelf_days'),
        );
        $order = $p->orders->first();

        return new StorePart(
            $p->number,
            $p->title,
            $stock->usable,
            $wanted,
            array_values($for->map(
                static fn(CardPart $c): string => "{$c->quantity} for {$c->card->number} {$c->card->aircraft->mark}",
            )->all()),
            $order === null ? null : "{$order->quantity} on ".$this->clock->words(Day::parse($order->expected)),
            $p->effectivity === null ? null : implode(', ', $p->effectivity),
            $p->one_time,
            BatchView::all($p->batches, $today),
            self::STATES[$stock->code],
            $this->said($stock, $p, $order !== null),
            $p->place,
            $p->specification,
            $p->unit,
            $p->never ?? [],
        );
    }

    private function said(PartStock $stock, Part $p, bool $ordered): string
    {
        $until = $p->batches->firstWhere('batch', $stock->batch)?->expires;

        return StoreWords::stock(
            $stock,
            $ordered,
            $until === null ? null : $this->clock->today()->daysUntil(Day::parse((string) $until)),
        );
    }
}
