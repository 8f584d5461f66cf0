<?php

declare(strict_types=1);

namespace App\Fleet\Http;

use App\Fleet\Model\Fleet;
use App\Fleet\Show\ShowDueList;
use App\Fleet\Show\ShowFleet;
use App\Fleet\Show\ShowHistory;
use App\Fleet\Show\ShowStagger;
use App\Fleet\Show\View\AircraftView;
use App\Fleet\Show\View\DueLine;
use App\Fleet\Show\View\DueListView;
use App\Fleet\Show\View\FleetView;
use App\Fleet\Show\View\HistoryView;
use App\Fleet\Show\View\StaggerRoom;
use App\Shared\Csv;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response;
use OpenApi\Attributes as OA;

/** The room Fleet, to look at. */
final class FleetController
{
    #[OA\Get(path: '/api/fleet', operationId: 'fleet', responses: [new OA\Response(response: 200, description: 'The fleet, by who stops first', content: new OA\JsonContent(ref: FleetView::class))])]
    public function index(ShowFleet $read): JsonResponse
    {
        return new JsonResponse($read->fleet());
    }

    #[OA\Get(path: '/api/fleet/{mark}', operationId: 'aircraft', parameters: [new OA\PathParameter(name: 'mark', schema: new OA\Schema(type: 'string'))], responses: [new OA\Response(response: 200, description: 'One aircraft with every item', content: new OA\JsonContent(ref: AircraftView::class))])]
    public function show(string $mark, ShowFleet $read): JsonResponse
    {
        return new JsonResponse($read->aircraft($mark));
    }

    #[OA\Get(path: '/api/fleet/{mark}/history', operationId: 'history', parameters: [new OA\PathParameter(name: 'mark', schema: new OA\Schema(type: 'string'))], responses: [new OA\Response(response: 200, description: 'What it flew and what was done to it', content: new OA\JsonContent(ref: HistoryView::class))])]
    public function history(string $mark, ShowHistory $read): JsonResponse
    {
        return new JsonResponse($read->of($mark));
    }

    #[OA\Get(path: '/api/due', operationId: 'dueList', parameters: [new OA\QueryParameter(name: 'days', schema: new OA\Schema(type: 'integer')), new OA\QueryParameter(name: 'mark', schema: new OA\Schema(type: 'string'))], responses: [new OA\Response(response: 200, description: 'The due list', content: new OA\JsonContent(ref: DueListView::class))])]
    public function due(Request $request, ShowDueList $read): JsonResponse
    {
        return new JsonResponse($this->list($request, $read));
    }

    /** The due list as CSV; described by its first line. */
    public function dueCsv(Request $request, ShowDueList $read): Response
    {
        $list = $this->list($request, $read);
        $text = Csv::write(
            [
                'mark', 'fleet', 'base', 'chapter', 'item', 'title', 'state', 'due', 'days', 'latest', 'drives',
                'left', 'hours', 'visit',
            ],
            array_map(
                static fn(DueLine $l): array
                    => [
                        $l->mark, $l->fleet, $l->base, $l->chapter, $l->code, $l->title, $l->state, $l->date, $l->days,
                        $l->latest, $l->drives, $l->remaining, $l->hours, $l->visit,
                    ],
                $list->rows,
            ),
        );

        return new Response(
            $text,
            200,
            [
                'Content-Type' => 'text/csv; charset=utf-8',
                'Content-Disposition' => "attachment; filename=\"due-{$list->today}-{$list->days}-days.csv\"",
            ],
        );
    }

    #[OA\Get(path: '/api/stagger', operationId: 'stagger', parameters: [new OA\QueryParameter(name: 'weeks', schema: new OA\Schema(type: 'integer')), new OA\QueryParameter(name: 'fleet', schema: new OA\Schema(type: 'string')), new OA\QueryParameter(name: 'task', schema: new OA\Schema(type: 'number'))], responses: [new OA\Response(response: 200, description: 'Phased fleets against their lines', content: new OA\JsonContent(ref: StaggerRoom::class))])]
    public function stagger(Request $request, ShowStagger $read): JsonResponse
    {
        $request->validate(
            [
                'weeks' => 'integer|between:1,12', 'fleet' => 'string|required_with:task',
                'task' => 'numeric|between:0,5000',
            ],
        );
        $tasks = $request->has('task') ? [$request->string('fleet')->value() => $request->float('task')] : [];

        return new JsonResponse($read->all($request->integer('weeks', 6), $tasks));
    }

    private function list(Request $request, ShowDueList $read): DueListView
    {
        $request->validate(['days' => 'integer|between:0,3660', 'mark' => 'string']);

        return $read->within(
            $request->integer('days', 30),
            $request->has('mark') ? $request->string('mark')->value() : null,
        );
    }
}
