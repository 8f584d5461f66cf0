<?php

declare(strict_types=1);

namespace App\Fleet;

use App\Fleet\View\AircraftView;
use App\Fleet\View\FleetView;
use Illuminate\Http\JsonResponse;
use OpenApi\Attributes as OA;

/** The room Fleet. */
final class FleetController
{
    #[OA\Get(path: '/api/fleet', operationId: 'fleet', responses: [new OA\Response(response: 200, description: 'The fleet, by who stops first', content: new OA\JsonContent(ref: FleetView::class))])]
    public function index(ReadFleet $read): JsonResponse
    {
        return new JsonResponse($read->fleet());
    }

    #[OA\Get(path: '/api/fleet/{mark}', operationId: 'aircraft', parameters: [new OA\PathParameter(name: 'mark', schema: new OA\Schema(type: 'string'))], responses: [new OA\Response(response: 200, description: 'One aircraft with every item', content: new OA\JsonContent(ref: AircraftView::class))])]
    public function show(string $mark, DueBook $book, ReadFleet $read): JsonResponse
    {
        return new JsonResponse($read->aircraft($book->query()->with('type.items.template')->where('mark', $mark)->firstOrFail()));
    }
}
