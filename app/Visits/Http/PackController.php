<?php

declare(strict_types=1);

namespace App\Visits\Http;

use App\Visits\Do\BaySlots;
use App\Visits\Do\CutBlock;
use App\Visits\Do\SavePack;
use App\Visits\Model\Bay;
use App\Visits\Model\BaySlot;
use App\Visits\Show\PackRoom;
use App\Visits\Show\ShowBays;
use App\Visits\Show\View\BaysView;
use App\Visits\Show\View\PackView;
use App\Visits\Show\View\PhasesView;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use OpenApi\Attributes as OA;

/** Packing due items into visits, the bays' calendar, and cutting a block into phases. */
final class PackController
{
    #[OA\Get(path: '/api/pack', operationId: 'pack', parameters: [new OA\QueryParameter(name: 'mark', schema: new OA\Schema(type: 'string')), new OA\QueryParameter(name: 'days', schema: new OA\Schema(type: 'integer')), new OA\QueryParameter(name: 'skip', description: 'slots to leave alone, with commas between', schema: new OA\Schema(type: 'string'))], responses: [new OA\Response(response: 200, description: 'A proposal', content: new OA\JsonContent(ref: PackView::class))])]
    public function propose(Request $request, PackRoom $room): JsonResponse
    {
        $request->validate(
            ['skip' => 'sometimes|string', 'mark' => 'sometimes|string', 'days' => 'sometimes|integer|min:7|max:730'],
        );

        return new JsonResponse(
            $room->look(
                $request->query('mark') === null ? null : $request->string('mark')->value(),
                $request->integer('days', 90),
                null,
                explode(',', $request->string('skip')->value()),
            ),
        );
    }

    #[OA\Post(path: '/api/pack', operationId: 'judgePack', requestBody: new OA\RequestBody(required: true, content: new OA\JsonContent(required: ['mark', 'days', 'into'], properties: [new OA\Property(property: 'mark', type: 'string'), new OA\Property(property: 'days', type: 'integer'), new OA\Property(property: 'into', description: 'slot by item', type: 'object', additionalProperties: new OA\AdditionalProperties(type: 'string'))])), responses: [new OA\Response(response: 200, description: 'What it costs and what of it cannot be', content: new OA\JsonContent(ref: PackView::class))])]
    public function judge(PackRequest $request, PackRoom $room): JsonResponse
    {
        return new JsonResponse(
            $room->look($request->string('mark')->value(), $request->integer('days'), $request->into()),
        );
    }

    #[OA\Post(path: '/api/pack/save', operationId: 'savePack', requestBody: new OA\RequestBody(required: true, content: new OA\JsonContent(required: ['mark', 'days', 'into'], properties: [new OA\Property(property: 'mark', type: 'string'), new OA\Property(property: 'days', type: 'integer'), new OA\Property(property: 'into', type: 'object', additionalProperties: new OA\AdditionalProperties(type: 'string'))])), responses: [new OA\Response(response: 201, description: 'Ids of the visits', content: new OA\JsonContent(type: 'array', items: new OA\Items(type: 'integer')))])]
    public function save(PackRequest $request, SavePack $save): JsonResponse
    {
        return new JsonResponse(
            $save($request->person(), $request->string('mark')->value(), $request->integer('days'), $request->into()),
            201,
        );
    }

    #[OA\Get(path: '/api/bays', operationId: 'bays', responses: [new OA\Response(response: 200, description: 'Bays with their visits and free slots', content: new OA\JsonContent(ref: BaysView::class))])]
    public function bays(ShowBays $read): JsonResponse
    {
        return new JsonResponse($read->all());
    }

    #[OA\Post(path: '/api/bays/{id}/slots', operationId: 'addSlot', parameters: [new OA\PathParameter(name: 'id', schema: new OA\Schema(type: 'integer'))], requestBody: new OA\RequestBody(required: true, content: new OA\JsonContent(required: ['start', 'end', 'hours'], properties: [new OA\Property(property: 'start', type: 'string'), new OA\Property(property: 'end', type: 'string'), new OA\Property(property: 'hours', type: 'number'), new OA\Property(property: 'note', type: 'string')])), responses: [new OA\Response(response: 201, description: 'The bays as they now stand', content: new OA\JsonContent(ref: BaysView::class))])]
    public function addSlot(int $id, SlotRequest $request, BaySlots $slots, ShowBays $read): JsonResponse
    {
        $slots->add(
            $request->person(),
            Bay::findOrFail($id),
            $request->string('start')->value(),
            $request->string('end')->value(),
            $request->float('hours'),
            $request->string('note')->value(),
        );

        return new JsonResponse($read->all(), 201);
    }

    #[OA\Post(path: '/api/bay-slots/{id}/remove', operationId: 'removeSlot', parameters: [new OA\PathParameter(name: 'id', schema: new OA\Schema(type: 'integer'))], responses: [new OA\Response(response: 200, description: 'The bays as they now stand', content: new OA\JsonContent(ref: BaysView::class))])]
    public function removeSlot(int $id, CancelRequest $request, BaySlots $slots, ShowBays $read): JsonResponse
    {
        $slots->remove($request->person(), BaySlot::with('bay')->findOrFail($id));

        return new JsonResponse($read->all());
    }

    #[OA\Get(path: '/api/phases', operationId: 'phases', parameters: [new OA\QueryParameter(name: 'type', schema: new OA\Schema(type: 'string')), new OA\QueryParameter(name: 'months', schema: new OA\Schema(type: 'integer')), new OA\QueryParameter(name: 'phases', schema: new OA\Schema(type: 'integer'))], responses: [new OA\Response(response: 200, description: 'The block and the phases beside it', content: new OA\JsonContent(ref: PhasesView::class))])]
    public function phases(Request $request, CutBlock $cut): JsonResponse
    {
        $request->validate(
            [
                'type' => 'sometimes|string|exists:aircraft_types,code', 'months' => 'sometimes|integer|min:1|max:240',
                'phases' => 'sometimes|integer|min:1|max:12',
            ],
        );

        return new JsonResponse(
            $cut(
                $request->query('type') === null ? null : $request->string('type')->value(),
                $request->integer('months', 24),
                $request->integer('phases', 4),
            ),
        );
    }
}
