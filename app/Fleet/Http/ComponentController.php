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
use App\Shared\Http\ViewRequest;
use Illuminate\Http\JsonResponse;
use OpenApi\Attributes as OA;

/** Components that move between aircraft, and bottles with their gauges. */
final class ComponentController
{
    #[OA\Get(path: '/api/components', operationId: 'storedComponents', responses: [new OA\Response(response: 200, description: 'Components that are not fitted', content: new OA\JsonContent(type: 'array', items: new OA\Items(ref: StoredView::class)))])]
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

    #[OA\Post(path: '/api/components/{id}/move', operationId: 'moveComponent', parameters: [new OA\PathParameter(name: 'id', schema: new OA\Schema(type: 'integer'))], requestBody: new OA\RequestBody(required: true, content: new OA\JsonContent(required: ['position', 'reason', 'stamp', 'pin'], properties: [new OA\Property(property: 'mark', type: 'string', nullable: true), new OA\Property(property: 'position', type: 'string'), new OA\Property(property: 'reason', type: 'string'), new OA\Property(property: 'stamp', type: 'string'), new OA\Property(property: 'pin', type: 'string')])), responses: [new OA\Response(response: 200, description: 'Where it is now', content: new OA\JsonContent(ref: StoredView::class))])]
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
                    $request->string('stamp')->value(),
                    $request->string('pin')->value(),
                ),
            ),
        );
    }

    #[OA\Get(path: '/api/bottles', operationId: 'bottles', responses: [new OA\Response(response: 200, description: 'Bottles and accumulators with their trends', content: new OA\JsonContent(ref: BottlesView::class))])]
    public function bottles(ViewRequest $request, ShowBottles $read): JsonResponse
    {
        return new JsonResponse($read->all());
    }

    #[OA\Post(path: '/api/components/{id}/readings', operationId: 'readGauge', parameters: [new OA\PathParameter(name: 'id', schema: new OA\Schema(type: 'integer'))], requestBody: new OA\RequestBody(required: true, content: new OA\JsonContent(required: ['date', 'pressure', 'temp_c'], properties: [new OA\Property(property: 'date', type: 'string'), new OA\Property(property: 'pressure', type: 'number'), new OA\Property(property: 'temp_c', type: 'number'), new OA\Property(property: 'replaced', type: 'boolean')])), responses: [new OA\Response(response: 200, description: 'The bottle as it now stands', content: new OA\JsonContent(ref: BottleView::class))])]
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

    #[OA\Post(path: '/api/readings/{id}/correct', operationId: 'correctGauge', parameters: [new OA\PathParameter(name: 'id', schema: new OA\Schema(type: 'integer'))], requestBody: new OA\RequestBody(required: true, content: new OA\JsonContent(required: ['reason'], properties: [new OA\Property(property: 'pressure', type: 'number', nullable: true), new OA\Property(property: 'temp_c', type: 'number', nullable: true), new OA\Property(property: 'reason', type: 'string')])), responses: [new OA\Response(response: 200, description: 'The bottle as it now stands', content: new OA\JsonContent(ref: BottleView::class))])]
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
