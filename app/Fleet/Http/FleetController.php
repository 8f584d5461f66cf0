<?php

declare(strict_types=1);

namespace App\Fleet\Http;

use App\Fleet\Model\Fleet;
use App\Fleet\Show\ShowAsOf;
use App\Fleet\Show\ShowDueList;
use App\Fleet\Show\ShowFleet;
use App\Fleet\Show\ShowHistory;
use App\Fleet\Show\ShowStagger;
use App\Fleet\Show\View\AircraftView;
use App\Fleet\Show\View\AsOfView;
use App\Fleet\Show\View\DueLine;
use App\Fleet\Show\View\DueListView;
use App\Fleet\Show\View\FleetView;
use App\Fleet\Show\View\HistoryView;
use App\Fleet\Show\View\StaggerRoom;
use App\Shared\Csv;
use App\Shared\Http\Api;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Response;
use Jorvel\Core\Shared\Day;

/** The room Fleet, to look at. */
final class FleetController
{
    #[Api('fleet', FleetView::class, 'The fleet, by who stops first')]
    public function index(ShowFleet $read): JsonResponse
    {
        return new JsonResponse($read->fleet());
    }

    #[Api('aircraft', AircraftView::class, 'One aircraft with every item')]
    public function show(string $mark, ShowFleet $read): JsonResponse
    {
        return new JsonResponse($read->aircraft($mark));
    }

    #[Api('history', HistoryView::class, 'What it flew and what was done to it')]
    public function history(string $mark, ShowHistory $read): JsonResponse
    {
        return new JsonResponse($read->of($mark));
    }

    #[Api('dueList', DueListView::class, 'The due list')]
    public function due(DueRequest $request, ShowDueList $read): JsonResponse
    {
        return new JsonResponse($this->list($request, $read));
    }

    #[Api('asOf', AsOfView::class, 'Which aircraft cannot fly on a day, and why')]
    public function asOf(AsOfRequest $request, ShowAsOf $read): JsonResponse
    {
        return new JsonResponse($this->on($request, $read));
    }

    /** The same as CSV, a line for each reason. */
    public function asOfCsv(AsOfRequest $request, ShowAsOf $read): Response
    {
        $is = $this->on($request, $read);
        $lines = [];
        foreach ($is->rows as $row) {
            foreach ($row->why === [] ? [''] : $row->why as $why) {
                $lines[] = [$is->day, $row->mark, $row->type, $row->base, $row->word, $why];
            }
        }

        return new Response(Csv::write(['day', 'mark', 'type', 'base', 'state', 'why'], $lines), 200, [
            'Content-Type' => 'text/csv; charset=utf-8',
            'Content-Disposition' => "attachment; filename=\"fleet-{$is->day}.csv\"",
        ]);
    }

    private function on(AsOfRequest $request, ShowAsOf $read): AsOfView
    {
        $day = $request->validated('day');

        return $read->on($day === null ? null : Day::parse($day), $request->validated('base'));
    }

    /** The due list as CSV; described by its first line. */
    public function dueCsv(DueRequest $request, ShowDueList $read): Response
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
                        $l->latest, $l->drives, $l->remaining, $l->hours,
                        $l->visit === null ? null : "{$l->visit}, {$l->visitFrom}",
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

    #[Api('stagger', StaggerRoom::class, 'Phased fleets against their lines')]
    public function stagger(StaggerRequest $request, ShowStagger $read): JsonResponse
    {
        $tasks = $request->has('task') ? [$request->string('fleet')->value() => $request->float('task')] : [];

        return new JsonResponse($read->all($request->integer('weeks', 6), $tasks));
    }

    private function list(DueRequest $request, ShowDueList $read): DueListView
    {
        return $read->within(
            $request->integer('days', 30),
            $request->has('mark') ? $request->string('mark')->value() : null,
        );
    }
}
