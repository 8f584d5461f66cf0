<?php

declare(strict_types=1);

namespace App\Crew\Http;

use App\Crew\Do\CommitCrew;
use App\Crew\Do\SetDays;
use App\Crew\Model\Person;
use App\Crew\Show\ShowCrew;
use App\Crew\Show\ShowShift;
use App\Crew\Show\View\CrewView;
use App\Crew\Show\View\ShiftView;
use App\Shared\Http\ViewRequest;
use Illuminate\Http\JsonResponse;
use Jorvel\Core\Shared\Day;
use OpenApi\Attributes as OA;

/** The room Crew: who is there, what they hold, and who works what on a shift. */
final class CrewController
{
    #[OA\Get(path: '/api/crew', operationId: 'crew', responses: [new OA\Response(response: 200, description: 'People with what they hold, and what lapses', content: new OA\JsonContent(ref: CrewView::class))])]
    public function index(ViewRequest $request, ShowCrew $read): JsonResponse
    {
        return new JsonResponse($read->all($request->person()));
    }

    #[OA\Get(path: '/api/crew/shift', operationId: 'shift', parameters: [new OA\QueryParameter(name: 'base', schema: new OA\Schema(type: 'string')), new OA\QueryParameter(name: 'date', schema: new OA\Schema(type: 'string')), new OA\QueryParameter(name: 'shift', schema: new OA\Schema(type: 'string'))], responses: [new OA\Response(response: 200, description: 'A shift with its slots and people', content: new OA\JsonContent(ref: ShiftView::class))])]
    public function shift(ShiftRequest $request, ShowShift $read): JsonResponse
    {
        return new JsonResponse($read->read($request->base(), $request->day(), $request->shift(), $request->person()));
    }

    #[OA\Post(path: '/api/crew/shift/propose', operationId: 'proposeCrew', requestBody: new OA\RequestBody(required: true, content: new OA\JsonContent(required: ['base', 'date', 'shift', 'places'], properties: [new OA\Property(property: 'base', type: 'string'), new OA\Property(property: 'date', type: 'string'), new OA\Property(property: 'shift', type: 'string'), new OA\Property(property: 'fill', type: 'boolean'), new OA\Property(property: 'places', description: 'person by slot, already placed', type: 'object', additionalProperties: new OA\AdditionalProperties(type: 'integer'))])), responses: [new OA\Response(response: 200, description: 'The shift as it would be; nothing is saved', content: new OA\JsonContent(ref: ShiftView::class))])]
    public function propose(CrewRequest $request, ShowShift $read): JsonResponse
    {
        return new JsonResponse($request->boolean('fill', true)
            ? $read->propose(
                $request->base(),
                $request->day(),
                $request->shift(),
                $request->places(),
                $request->person(),
            )
            : $read->judge(
                $request->base(),
                $request->day(),
                $request->shift(),
                $request->places(),
                $request->person(),
            ));
    }

    #[OA\Post(path: '/api/crew/shift', operationId: 'saveCrew', requestBody: new OA\RequestBody(required: true, content: new OA\JsonContent(required: ['base', 'date', 'shift', 'version', 'places'], properties: [new OA\Property(property: 'base', type: 'string'), new OA\Property(property: 'date', type: 'string'), new OA\Property(property: 'shift', type: 'string'), new OA\Property(property: 'version', type: 'integer'), new OA\Property(property: 'places', description: 'person by slot', type: 'object', additionalProperties: new OA\AdditionalProperties(type: 'integer'))])), responses: [new OA\Response(response: 200, description: 'The shift as it was kept', content: new OA\JsonContent(ref: ShiftView::class))])]
    public function save(CrewRequest $request, CommitCrew $commit, ShowShift $read): JsonResponse
    {
        $commit(
            $request->person(),
            $request->base(),
            $request->day(),
            $request->shift(),
            $request->integer('version'),
            $request->places(),
        );

        return new JsonResponse($read->read($request->base(), $request->day(), $request->shift(), $request->person()));
    }

    #[OA\Post(path: '/api/crew/{id}/days', operationId: 'setDays', parameters: [new OA\PathParameter(name: 'id', schema: new OA\Schema(type: 'integer'))], requestBody: new OA\RequestBody(required: true, content: new OA\JsonContent(required: ['from', 'until', 'do'], properties: [new OA\Property(property: 'from', type: 'string'), new OA\Property(property: 'until', type: 'string'), new OA\Property(property: 'do', type: 'string', enum: ['away', 'shift', 'clear']), new OA\Property(property: 'shift', type: 'string'), new OA\Property(property: 'why', type: 'string')])), responses: [new OA\Response(response: 200, description: 'The room as it now stands', content: new OA\JsonContent(ref: CrewView::class))])]
    public function days(int $id, DaysRequest $request, SetDays $days, ShowCrew $read): JsonResponse
    {
        $person = Person::with('rotaDays')->findOrFail($id);
        [$from, $until] = [
            Day::parse($request->string('from')->value()), Day::parse($request->string('until')->value()),
        ];
        $request->string('do')->value() === 'clear'
            ? $days->clear($request->person(), $person, $from, $until)
            : $days->set(
                $request->person(),
                $person,
                $from,
                $until,
                $request->string('do')->value() === 'shift' ? $request->string('shift')->value() : null,
                $request->string('why')->value(),
            );

        return new JsonResponse($read->all($request->person(), $person->refresh()));
    }
}
