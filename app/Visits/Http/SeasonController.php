<?php

declare(strict_types=1);

namespace App\Visits\Http;

use App\Shared\Http\Api;
use App\Shared\Http\Pdf;
use App\Shared\Http\ViewRequest;
use App\Visits\Do\Season\CloseBay;
use App\Visits\Do\Season\KeepSeason;
use App\Visits\Do\Season\SeasonRuns;
use App\Visits\Model\Bay;
use App\Visits\Model\BayClosure;
use App\Visits\Show\Season\SeasonFiles;
use App\Visits\Show\Season\ShowSeason;
use App\Visits\Show\ShowBays;
use App\Visits\Show\View\BaysView;
use App\Visits\Show\View\SeasonKeptView;
use App\Visits\Show\View\SeasonRunView;
use App\Visits\Show\View\SeasonView;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Response;

/** The whole fleet's visits planned as one. */
final class SeasonController
{
    #[Api('season', SeasonView::class, 'The season as it is kept')]
    public function show(SeasonDaysRequest $request, ShowSeason $show): JsonResponse
    {
        return new JsonResponse($show->judge($request->integer('days', 90), []));
    }

    #[Api('judgeSeason', SeasonView::class, 'The season as it is laid, judged')]
    public function judge(SeasonRequest $request, ShowSeason $show): JsonResponse
    {
        return new JsonResponse($show->judge($request->days(), $request->visits()));
    }

    #[Api('mendSeason', SeasonView::class, 'The season with the least change that mends it')]
    public function mend(SeasonRequest $request, ShowSeason $show): JsonResponse
    {
        return new JsonResponse($show->mend($request->days(), $request->visits()));
    }

    #[Api('proposeSeason', SeasonRunView::class, 'The search', status: 202)]
    public function propose(ProposeSeasonRequest $request, SeasonRuns $runs): JsonResponse
    {
        $runs->ask(
            $request->person(),
            $request->days(),
            $request->integer('seconds'),
            $request->visits(),
            $request->boolean('anew'),
            $request->filled('mark') ? $request->string('mark')->value() : null,
        );

        return new JsonResponse($runs->latest($request->person()), 202);
    }

    #[Api('seasonRun', SeasonRunView::class, 'How far the last search is', orNull: true)]
    public function run(ViewRequest $request, SeasonRuns $runs): JsonResponse
    {
        return new JsonResponse($runs->latest($request->person()));
    }

    #[Api('cancelSeason', SeasonRunView::class, 'The search as it now is')]
    public function cancel(int $id, CancelRequest $request, SeasonRuns $runs): JsonResponse
    {
        $runs->cancel($request->person(), $id);

        return new JsonResponse($runs->latest($request->person()));
    }

    #[Api('keepSeason', SeasonKeptView::class, 'What was kept', status: 201)]
    public function keep(SeasonRequest $request, KeepSeason $keep): JsonResponse
    {
        // A season of months is planned visit by visit.
        set_time_limit(180);

        return new JsonResponse($keep($request->person(), $request->days(), $request->visits()), 201);
    }

    #[Api('seasonCsv', null, 'The season as it is kept, as CSV')]
    public function csv(SeasonDaysRequest $request, SeasonFiles $files): Response
    {
        return new Response($files->csv($request->integer('days', 90)), 200, [
            'Content-Type' => 'text/csv; charset=utf-8',
            'Content-Disposition' => 'attachment; filename="season.csv"',
        ]);
    }

    #[Api('seasonCalendar', null, 'The season as it is kept, as iCalendar')]
    public function calendar(SeasonDaysRequest $request, SeasonFiles $files): Response
    {
        return new Response($files->calendar($request->integer('days', 90)), 200, [
            'Content-Type' => 'text/calendar; charset=utf-8',
            'Content-Disposition' => 'attachment; filename="season.ics"',
        ]);
    }

    /** A month on one sheet, as PDF: `?month=2026-05&size=A3`. */
    public function sheet(SeasonSheetRequest $request, SeasonFiles $files): Response
    {
        $month = $request->string('month')->value();

        return Pdf::of(
            $files->sheet($month, $request->string('size', 'A4')->value())->text(),
            "season-{$month}.pdf",
        );
    }

    #[Api('closeBay', BaysView::class, 'The bays as they now stand', status: 201)]
    public function close(int $id, CloseBayRequest $request, CloseBay $close, ShowBays $read): JsonResponse
    {
        $close->close(
            $request->person(),
            Bay::findOrFail($id),
            $request->day('start'),
            $request->day('end'),
            $request->string('why')->value(),
        );

        return new JsonResponse($read->all(), 201);
    }

    #[Api('openBay', BaysView::class, 'The bays as they now stand')]
    public function open(int $id, CancelRequest $request, CloseBay $close, ShowBays $read): JsonResponse
    {
        $close->open($request->person(), BayClosure::with('bay')->findOrFail($id));

        return new JsonResponse($read->all());
    }
}
