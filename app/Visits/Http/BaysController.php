<?php

declare(strict_types=1);

namespace App\Visits\Http;

use App\Shared\Http\Api;
use App\Visits\Do\BaySlots;
use App\Visits\Do\CutBlock;
use App\Visits\Model\Bay;
use App\Visits\Model\BaySlot;
use App\Visits\Show\ShowBays;
use App\Visits\Show\View\BaysView;
use App\Visits\Show\View\PhasesView;
use Illuminate\Http\JsonResponse;

/** The bays' calendar with its free stretches, and cutting a block into phases. */
final class BaysController
{
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
