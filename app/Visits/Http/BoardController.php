<?php

declare(strict_types=1);

namespace App\Visits\Http;

use App\Visits\Do\MoveCard;
use App\Visits\Do\PlanRuns;
use App\Visits\Model\PlanRun;
use App\Visits\Model\Visit;
use App\Visits\Show\PlanFile;
use App\Visits\Show\ShowBoard;
use App\Visits\Show\View\BoardView;
use App\Visits\Show\View\PlanRunView;
use App\Visits\Show\View\SlipRow;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Response;
use OpenApi\Attributes as OA;

/** The board of a visit: when each card is worked, and what a change moves. */
final class BoardController
{
    #[OA\Get(path: '/api/visits/{id}/board', operationId: 'board', parameters: [new OA\PathParameter(name: 'id', schema: new OA\Schema(type: 'integer'))], responses: [new OA\Response(response: 200, description: 'Cards on zones and time', content: new OA\JsonContent(ref: BoardView::class))])]
    public function show(int $id, ShowBoard $read): JsonResponse
    {
        return new JsonResponse($read->one($id));
    }

    #[OA\Post(path: '/api/visits/{id}/board/move', operationId: 'moveCard', parameters: [new OA\PathParameter(name: 'id', schema: new OA\Schema(type: 'integer'))], requestBody: new OA\RequestBody(required: true, content: new OA\JsonContent(required: ['card', 'slot', 'version', 'keep'], properties: [
        new OA\Property(property: 'card', type: 'integer'),
        new OA\Property(
            property: 'slot',
            description: 'of the board at which it is to begin; null lets it go again',
            type: 'number',
            nullable: true,
        ),
        new OA\Property(property: 'version', description: 'of the board that was looked at', type: 'integer'),
        new OA\Property(property: 'save', description: 'false only shows it', type: 'boolean'),
        new OA\Property(
            property: 'tighten',
            description: 'the others close up, where that lets it leave sooner',
            type: 'boolean',
        ),
    ])), responses: [new OA\Response(response: 200, description: 'The board as it is or would be, and what moved', content: new OA\JsonContent(ref: BoardView::class))])]
    public function move(int $id, MoveRequest $request, MoveCard $move): JsonResponse
    {
        $slot = $request->input('slot');
        $asked = [
            $id, $request->integer('card'), $slot === null ? null : (float) $slot, $request->integer('version'),
            $request->boolean('tighten'),
        ];

        return new JsonResponse(
            $request->boolean('save') ? $move($request->person(), ...$asked) : $move->preview(...$asked),
        );
    }

    #[OA\Get(path: '/api/visits/{id}/cards/{card}/slip', operationId: 'slip', parameters: [new OA\PathParameter(name: 'id', schema: new OA\Schema(type: 'integer')), new OA\PathParameter(name: 'card', schema: new OA\Schema(type: 'integer'))], responses: [new OA\Response(response: 200, description: 'What it does to the exit when the card takes longer', content: new OA\JsonContent(type: 'array', items: new OA\Items(ref: SlipRow::class)))])]
    public function slip(int $id, int $card, MoveCard $move): JsonResponse
    {
        return new JsonResponse($move->slip($id, $card, [2.0, 4.0, 8.0, 16.0]));
    }

    #[OA\Post(path: '/api/visits/{id}/plan', operationId: 'searchPlan', parameters: [new OA\PathParameter(name: 'id', schema: new OA\Schema(type: 'integer'))], requestBody: new OA\RequestBody(required: true, content: new OA\JsonContent(required: ['seconds', 'version'], properties: [new OA\Property(property: 'seconds', type: 'integer'), new OA\Property(property: 'version', type: 'integer')])), responses: [new OA\Response(response: 202, description: 'The search, which goes on by itself', content: new OA\JsonContent(ref: PlanRunView::class))])]
    public function search(int $id, PlanRunRequest $request, PlanRuns $runs): JsonResponse
    {
        $runs->ask(
            $request->person(),
            Visit::with('aircraft.type')->findOrFail($id),
            $request->integer('seconds'),
            $request->integer('version'),
        );

        return new JsonResponse($runs->latest($id), 202);
    }

    #[OA\Get(path: '/api/visits/{id}/plan', operationId: 'planRun', parameters: [new OA\PathParameter(name: 'id', schema: new OA\Schema(type: 'integer'))], responses: [new OA\Response(response: 200, description: 'How far the last search is', content: new OA\JsonContent(ref: PlanRunView::class, nullable: true))])]
    public function run(int $id, PlanRuns $runs): JsonResponse
    {
        Visit::findOrFail($id);

        return new JsonResponse($runs->latest($id));
    }

    #[OA\Post(path: '/api/plan-runs/{id}/cancel', operationId: 'cancelPlan', parameters: [new OA\PathParameter(name: 'id', schema: new OA\Schema(type: 'integer'))], responses: [new OA\Response(response: 200, description: 'The search as it now is', content: new OA\JsonContent(ref: PlanRunView::class))])]
    public function cancel(int $id, CancelRequest $request, PlanRuns $runs): JsonResponse
    {
        $run = PlanRun::findOrFail($id);
        $runs->cancel($request->person(), $run);

        return new JsonResponse($runs->latest($run->visit_id));
    }

    #[OA\Get(path: '/api/visits/{id}/plan.csv', operationId: 'planCsv', parameters: [new OA\PathParameter(name: 'id', schema: new OA\Schema(type: 'integer'))], responses: [new OA\Response(response: 200, description: 'The plan as CSV', content: new OA\MediaType(mediaType: 'text/csv'))])]
    public function csv(int $id, PlanFile $file): Response
    {
        return new Response(
            $file->csv($id),
            200,
            [
                'Content-Type' => 'text/csv; charset=utf-8',
                'Content-Disposition' => "attachment; filename=\"visit-{$id}-plan.csv\"",
            ],
        );
    }

    #[OA\Get(path: '/api/visits/{id}/plan.ics', operationId: 'planCalendar', parameters: [new OA\PathParameter(name: 'id', schema: new OA\Schema(type: 'integer'))], responses: [new OA\Response(response: 200, description: 'The plan as iCalendar', content: new OA\MediaType(mediaType: 'text/calendar'))])]
    public function calendar(int $id, PlanFile $file): Response
    {
        return new Response(
            $file->calendar($id),
            200,
            [
                'Content-Type' => 'text/calendar; charset=utf-8',
                'Content-Disposition' => "attachment; filename=\"visit-{$id}.ics\"",
            ],
        );
    }
}
