<?php

declare(strict_types=1);

namespace App\Fleet\Http;

use App\Fleet\Do\GaugeBook;
use App\Fleet\Do\MoveComponent;
use App\Fleet\Model\Component;
use App\Fleet\Show\ShowBottles;
use App\Fleet\Show\View\BottlesView;
use App\Fleet\Show\View\BottleView;
use App\Fleet\Show\View\StoredView;
use App\Shared\Http\Api;
use App\Shared\Http\ViewRequest;
use Illuminate\Http\JsonResponse;

/** Components that move between aircraft, and bottles with their gauges. */
final class ComponentController
{
    #[Api('storedComponents', [StoredView::class], 'Components that are not fitted')]
    public function stored(): JsonResponse
    {
        return new JsonResponse(
            array_values(
                Component::whereDoesntHave('tenure')
                    ->orderBy('kind')
                    ->orderBy('serial')
                    ->get()
                    ->map(static fn(Component $c): StoredView => StoredView::of($c))
                    ->all(),
            ),
        );
    }

    #[Api('moveComponent', StoredView::class, 'Where it is now')]
    public function move(int $id, MoveComponentRequest $request, MoveComponent $move): JsonResponse
    {
        $mark = $request->input('mark');

        return new JsonResponse(
            StoredView::of(
                $move(
                    $request->person(),
                    $id,
                    is_string($mark) && $mark !== '' ? $mark : null,
                    $request->string('position')->value(),
                    $request->string('reason')->value(),
                    $request->tag(),
                    $request->string('stamp')->value(),
                    $request->string('pin')->value(),
                ),
            ),
        );
    }

    #[Api('bottles', BottlesView::class, 'Bottles and accumulators with their trends')]
    public function bottles(ViewRequest $request, ShowBottles $read): JsonResponse
    {
        return new JsonResponse($read->all());
    }

    #[Api('readGauge', BottleView::class, 'The bottle as it now stands')]
    public function read(int $id, GaugeRequest $request, GaugeBook $book, ShowBottles $read): JsonResponse
    {
        return new JsonResponse(
            $read->one(
                $book
                    ->add(
                        $request->person(),
                        $id,
                        $request->string('date')->value(),
                        $request->float('pressure'),
                        $request->float('temp_c'),
                        $request->boolean('replaced'),
                    )
                    ->load(['log.person', 'tenure.craft']),
            ),
        );
    }

    #[Api('correctGauge', BottleView::class, 'The bottle as it now stands')]
    public function correct(int $id, CorrectGaugeRequest $request, GaugeBook $book, ShowBottles $read): JsonResponse
    {
        $right = $request->filled('pressure');

        return new JsonResponse(
            $read->one(
                $book
                    ->correct(
                        $request->person(),
                        $id,
                        $right ? $request->float('pressure') : null,
                        $right ? $request->float('temp_c') : null,
                        $request->string('reason')->value(),
                    )
                    ->load(['log.person', 'tenure.craft']),
            ),
        );
    }
}
