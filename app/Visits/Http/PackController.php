<?php

declare(strict_types=1);

namespace App\Visits\Http;

use App\Shared\Http\Api;
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

/** Packing due items into visits, the bays' calendar, and cutting a block into phases. */
final class PackController
{
    #[Api('pack', PackView::class, 'A proposal')]
    public function propose(ProposeRequest $request, PackRoom $room): JsonResponse
    {
        return new JsonResponse(
            $room->look(
                $request->query('mark') === null ? null : $request->string('mark')->value(),
                $request->integer('days', 90),
                null,
                explode(',', $request->string('skip')->value()),
            ),
        );
    }

    #[Api('judgePack', PackView::class, 'What it costs and what of it cannot be')]
    public function judge(PackRequest $request, PackRoom $room): JsonResponse
    {
        return new JsonResponse(
            $room->look($request->string('mark')->value(), $request->integer('days'), $request->into()),
        );
    }

    #[Api('savePack', ['integer'], 'Ids of the visits', status: 201)]
    public function save(PackRequest $request, SavePack $save): JsonResponse
    {
        return new JsonResponse(
            $save($request->person(), $request->string('mark')->value(), $request->integer('days'), $request->into()),
            201,
        );
    }

    #[Api('bays', BaysView::class, 'Bays with their visits and free slots')]
    public function bays(ShowBays $read): JsonResponse
    {
        return new JsonResponse($read->all());
    }

    #[Api('addSlot', BaysView::class, 'The bays as they now stand', status: 201)]
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

    #[Api('removeSlot', BaysView::class, 'The bays as they now stand')]
    public function removeSlot(int $id, CancelRequest $request, BaySlots $slots, ShowBays $read): JsonResponse
    {
        $slots->remove($request->person(), BaySlot::with('bay')->findOrFail($id));

        return new JsonResponse($read->all());
    }

    #[Api('phases', PhasesView::class, 'The block and the phases beside it')]
    public function phases(PhasesRequest $request, CutBlock $cut): JsonResponse
    {
        return new JsonResponse(
            $cut(
                $request->query('type') === null ? null : $request->string('type')->value(),
                $request->integer('months', 24),
                $request->integer('phases', 4),
            ),
        );
    }
}
