<?php

declare(strict_types=1);

namespace App\Visits\Http;

use App\Shared\Http\Api;
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

/** The board of a visit: when each card is worked, and what a change moves. */
final class BoardController
{
    #[Api('board', BoardView::class, 'Cards on zones and time')]
    public function show(int $id, ShowBoard $read): JsonResponse
    {
        return new JsonResponse($read->one($id));
    }

    #[Api('moveCard', BoardView::class, 'The board as it is or would be, and what moved')]
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

    #[Api('slip', [SlipRow::class], 'What it does to the exit when the card takes longer')]
    public function slip(int $id, int $card, MoveCard $move): JsonResponse
    {
        return new JsonResponse($move->slip($id, $card, [2.0, 4.0, 8.0, 16.0]));
    }

    #[Api('searchPlan', PlanRunView::class, 'The search, which goes on by itself', status: 202)]
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

    #[Api('planRun', PlanRunView::class, 'How far the last search is', orNull: true)]
    public function run(int $id, PlanRuns $runs): JsonResponse
    {
        Visit::findOrFail($id);

        return new JsonResponse($runs->latest($id));
    }

    #[Api('cancelPlan', PlanRunView::class, 'The search as it now is')]
    public function cancel(int $id, CancelRequest $request, PlanRuns $runs): JsonResponse
    {
        $run = PlanRun::findOrFail($id);
        $runs->cancel($request->person(), $run);

        return new JsonResponse($runs->latest($run->visit_id));
    }

    #[Api('planCsv', null, 'The plan as CSV')]
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

    #[Api('planCalendar', null, 'The plan as iCalendar')]
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
