<?php

declare(strict_types=1);

namespace App\Visits\Http;

use App\Crew\Show\View\Candidate;
use App\Floor\Model\Card;
use App\Floor\Model\Finding;
use App\Shared\Http\ViewRequest;
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
use Illuminate\Http\Request;
use Illuminate\Support\Facades\Gate;
use OpenApi\Attributes as OA;

/** The room Visits. */
final class VisitController
{
    #[OA\Get(path: '/api/visits', operationId: 'visits', responses: [new OA\Response(response: 200, description: 'Visits planned and in work', content: new OA\JsonContent(ref: VisitsView::class))])]
    public function index(ShowVisits $read): JsonResponse
    {
        return new JsonResponse($read->all());
    }

    #[OA\Get(path: '/api/visits/{id}', operationId: 'visit', parameters: [new OA\PathParameter(name: 'id', schema: new OA\Schema(type: 'integer'))], responses: [new OA\Response(response: 200, description: 'One visit', content: new OA\JsonContent(ref: VisitView::class))])]
    public function show(int $id, ShowVisits $read): JsonResponse
    {
        return new JsonResponse($read->one($id));
    }

    #[OA\Post(path: '/api/visits', operationId: 'makeVisit', requestBody: new OA\RequestBody(required: true, content: new OA\JsonContent(required: ['mark', 'title', 'bay', 'start', 'end', 'items'], properties: [
        new OA\Property(property: 'mark', type: 'string'), new OA\Property(property: 'title', type: 'string'),
        new OA\Property(property: 'bay', type: 'string'),
        new OA\Property(property: 'start', type: 'string'), new OA\Property(property: 'end', type: 'string'),
        new OA\Property(
            property: 'items',
            description: 'keys of due rows',
            type: 'array',
            items: new OA\Items(type: 'string'),
        ),
    ])), responses: [new OA\Response(response: 201, description: 'The visit with its cards', content: new OA\JsonContent(ref: VisitView::class))])]
    public function store(MakeVisitRequest $request, CreateVisit $create, ShowVisits $read): JsonResponse
    {
        $visit = $create($request->person(), $request->visit());

        return new JsonResponse($read->one($visit->id), 201);
    }

    #[OA\Post(path: '/api/visits/{id}/begin', operationId: 'beginVisit', parameters: [new OA\PathParameter(name: 'id', schema: new OA\Schema(type: 'integer'))], responses: [new OA\Response(response: 200, description: 'The visit, begun before its day', content: new OA\JsonContent(ref: VisitView::class))])]
    public function begin(int $id, ViewRequest $request, BeginVisit $begin, ShowVisits $read): JsonResponse
    {
        Gate::authorize('begin', Visit::class);

        return new JsonResponse($read->one($begin($request->person(), $id)->id));
    }

    #[OA\Post(path: '/api/findings/{id}/card', operationId: 'fixCard', parameters: [new OA\PathParameter(name: 'id', schema: new OA\Schema(type: 'integer'))], requestBody: new OA\RequestBody(required: true, content: new OA\JsonContent(required: ['hours'], properties: [new OA\Property(property: 'hours', description: 'of work that is reckoned with', type: 'number')])), responses: [new OA\Response(response: 201, description: 'The visit with the card', content: new OA\JsonContent(ref: VisitView::class))])]
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

    #[OA\Get(path: '/api/cards/{id}/candidates', operationId: 'candidates', parameters: [new OA\PathParameter(name: 'id', schema: new OA\Schema(type: 'integer')), new OA\QueryParameter(name: 'role', required: true, schema: new OA\Schema(type: 'string'))], responses: [new OA\Response(response: 200, description: 'Everybody, with why not', content: new OA\JsonContent(type: 'array', items: new OA\Items(ref: Candidate::class)))])]
    public function candidates(int $id, Request $request, Assign $assign): JsonResponse
    {
        Gate::authorize('plan', Visit::class);
        $request->validate(['role' => 'required|in:perform,duplicate']);

        return new JsonResponse($assign->candidates($this->card($id), $request->string('role')->value()));
    }

    #[OA\Post(path: '/api/cards/{id}/assignments', operationId: 'assign', parameters: [new OA\PathParameter(name: 'id', schema: new OA\Schema(type: 'integer'))], requestBody: new OA\RequestBody(required: true, content: new OA\JsonContent(required: ['person', 'role'], properties: [new OA\Property(property: 'person', type: 'integer'), new OA\Property(property: 'role', type: 'string'), new OA\Property(property: 'remove', type: 'boolean')])), responses: [new OA\Response(response: 200, description: 'The visit as it now stands', content: new OA\JsonContent(ref: VisitView::class))])]
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
