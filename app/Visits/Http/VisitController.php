<?php

declare(strict_types=1);

namespace App\Visits\Http;

use App\Crew\Show\View\Candidate;
use App\Floor\Model\Card;
use App\Floor\Model\Finding;
use App\Shared\Http\Api;
use App\Shared\Http\ViewRequest;
use App\Visits\Do\AddCard;
use App\Visits\Do\Assign;
use App\Visits\Do\BeginVisit;
use App\Visits\Do\CreateVisit;
use App\Visits\Do\MakeFixCard;
use App\Visits\Do\PlanVisit;
use App\Visits\Model\Visit;
use App\Visits\Show\ShowVisits;
use App\Visits\Show\View\VisitsView;
use App\Visits\Show\View\VisitView;
use Illuminate\Http\JsonResponse;
use Illuminate\Support\Facades\Gate;

/** The room Visits. */
final class VisitController
{
    #[Api('visits', VisitsView::class, 'Visits planned and in work')]
    public function index(ShowVisits $read): JsonResponse
    {
        return new JsonResponse($read->all());
    }

    #[Api('visit', VisitView::class, 'One visit')]
    public function show(int $id, ShowVisits $read): JsonResponse
    {
        return new JsonResponse($read->one($id));
    }

    #[Api('makeVisit', VisitView::class, 'The visit with its cards', status: 201)]
    public function store(MakeVisitRequest $request, CreateVisit $create, ShowVisits $read): JsonResponse
    {
        $visit = $create($request->person(), $request->visit());

        return new JsonResponse($read->one($visit->id), 201);
    }

    #[Api('beginVisit', VisitView::class, 'The visit, begun before its day')]
    public function begin(int $id, ViewRequest $request, BeginVisit $begin, ShowVisits $read): JsonResponse
    {
        Gate::authorize('begin', Visit::class);

        return new JsonResponse($read->one($begin($request->person(), $id)->id));
    }

    #[Api('addCard', VisitView::class, 'The visit with the card', status: 201)]
    public function addCard(
        int $id,
        AddCardRequest $request,
        AddCard $add,
        PlanVisit $plan,
        ShowVisits $read,
    ): JsonResponse {
        $card = $add($request->person(), $id, $request->integer('template'));
        $plan(
            $card->visit()->with('aircraft.type')->firstOrFail(),
            $request->person(),
            "{$card->number} was put on it",
        );

        return new JsonResponse($read->one($card->visit_id), 201);
    }

    #[Api('fixCard', VisitView::class, 'The visit with the card', status: 201)]
    public function fixCard(
        int $id,
        FixCardRequest $request,
        MakeFixCard $make,
        PlanVisit $plan,
        ShowVisits $read,
    ): JsonResponse {
        $card = $make($request->person(), Finding::findOrFail($id), $request->float('hours'));
        $plan(
            $card->visit()->with('aircraft.type')->firstOrFail(),
            $request->person(),
            "{$card->number} was made for a finding",
        );

        return new JsonResponse($read->one($card->visit_id), 201);
    }

    #[Api('candidates', [Candidate::class], 'Everybody, with why not')]
    public function candidates(int $id, CandidatesRequest $request, Assign $assign): JsonResponse
    {
        return new JsonResponse($assign->candidates($this->card($id), $request->string('role')->value()));
    }

    #[Api('assign', VisitView::class, 'The visit as it now stands')]
    public function assign(int $id, AssignRequest $request, Assign $assign, ShowVisits $read): JsonResponse
    {
        $card = $this->card($id);
        $request->boolean('remove')
            ? $assign->remove($request->person(), $card, $request->integer('person'), $request->string('role')->value())
            : $assign->add($request->person(), $card, $request->integer('person'), $request->string('role')->value());

        return new JsonResponse($read->one($card->visit_id));
    }

    private function card(int $id): Card
    {
        return Card::with(['visit', 'aircraft.type', 'assignments', 'steps'])->findOrFail($id);
    }
}
