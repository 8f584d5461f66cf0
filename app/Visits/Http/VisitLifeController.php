<?php

declare(strict_types=1);

namespace App\Visits\Http;

use App\Shared\Http\Api;
use App\Visits\Do\CreateVisit;
use App\Visits\Do\Life\CancelVisit;
use App\Visits\Do\Life\ChangeCards;
use App\Visits\Do\Life\EditVisit;
use App\Visits\Do\NewVisit;
use App\Visits\Model\Visit;
use App\Visits\Show\ShowMore;
use App\Visits\Show\ShowVisits;
use App\Visits\Show\View\MoreView;
use App\Visits\Show\View\VisitsView;
use App\Visits\Show\View\VisitView;
use Illuminate\Http\JsonResponse;
use Jorvel\Core\Shared\Day;

/** A visit from when it is made until it is begun, and what is decided of it afterwards. */
final class VisitLifeController
{
    #[Api('cancelVisit', VisitsView::class, 'The visits that there are')]
    public function cancel(int $id, CancelVisitRequest $request, CancelVisit $cancel, ShowVisits $read): JsonResponse
    {
        $cancel($request->person(), $id, $request->string('reason')->value());

        return new JsonResponse($read->all());
    }

    #[Api('editVisit', VisitView::class, 'The visit as it now is')]
    public function edit(int $id, EditVisitRequest $request, EditVisit $edit, ShowVisits $read): JsonResponse
    {
        $visit = $edit(
            $request->person(),
            $id,
            $request->string('title')->value(),
            $request->string('bay')->value(),
            Day::parse($request->string('start')->value()),
            Day::parse($request->string('end')->value()),
            $request->reason(),
        );

        return new JsonResponse($read->one($visit->id));
    }

    #[Api('visitMore', MoreView::class, 'What could be put into it')]
    public function more(int $id, ShowMore $more): JsonResponse
    {
        return new JsonResponse($more->of($id));
    }

    #[Api('putIn', VisitView::class, 'The visit with its new cards', status: 201)]
    public function putIn(int $id, PutInRequest $request, CreateVisit $create, ShowVisits $read): JsonResponse
    {
        $create->add(
            $request->person(),
            Visit::with('aircraft.type')->findOrFail($id),
            array_map(strval(...), array_values($request->array('items'))),
            $request->reason(),
        );

        return new JsonResponse($read->one($id), 201);
    }

    #[Api('takeOut', VisitView::class, 'The visit without them')]
    public function takeOut(int $id, TakeOutRequest $request, ChangeCards $change, ShowVisits $read): JsonResponse
    {
        $change->takeOut($request->person(), $id, $request->cards(), $request->reason());

        return new JsonResponse($read->one($id));
    }

    #[Api('splitVisit', VisitView::class, 'The new visit', status: 201)]
    public function split(int $id, SplitVisitRequest $request, ChangeCards $change, ShowVisits $read): JsonResponse
    {
        $new = $change->split($request->person(), $id, $request->cards(), new NewVisit(
            Visit::with('aircraft')->findOrFail($id)->aircraft->mark,
            $request->string('title')->value(),
            $request->string('bay')->value(),
            Day::parse($request->string('start')->value()),
            Day::parse($request->string('end')->value()),
            [],
        ), $request->reason());

        return new JsonResponse($read->one($new->id), 201);
    }

    #[Api('mergeVisit', VisitView::class, 'The visit that has it all')]
    public function merge(int $id, MergeVisitRequest $request, ChangeCards $change, ShowVisits $read): JsonResponse
    {
        $into = $change->merge($request->person(), $id, $request->integer('into'), $request->reason());

        return new JsonResponse($read->one($into->id));
    }
}
