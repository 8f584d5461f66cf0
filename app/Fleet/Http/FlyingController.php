<?php

declare(strict_types=1);

namespace App\Fleet\Http;

use App\Fleet\Do\FlyingFeed;
use App\Fleet\Do\FlyingLog;
use App\Fleet\Model\Aircraft;
use App\Fleet\Model\Fleet;
use App\Fleet\Show\ShowFleet;
use App\Fleet\Show\ShowHistory;
use App\Fleet\Show\View\AircraftView;
use App\Fleet\Show\View\HistoryView;
use App\Library\Do\BringIn;
use App\Library\Model\ImportKind;
use App\Library\Show\View\ImportView;
use App\Shared\Http\Api;
use App\Shared\Http\ViewRequest;
use Illuminate\Http\JsonResponse;
use Illuminate\Support\Facades\Gate;

/** Flying: entered by hand, corrected, and taken from the flying programme. */
final class FlyingController
{
    #[Api('enterFlying', AircraftView::class, 'The aircraft as it now stands')]
    public function enter(string $mark, EnterFlyingRequest $request, FlyingLog $log, ShowFleet $read): JsonResponse
    {
        $log->enter(
            $request->person(),
            $mark,
            $request->string('date')->value(),
            $request->cells(),
            $request->boolean('sure'),
        );

        return new JsonResponse($read->aircraft($mark));
    }

    #[Api('correctFlying', HistoryView::class, 'The history as it now stands')]
    public function correct(int $id, CorrectFlyingRequest $request, FlyingLog $log, ShowHistory $read): JsonResponse
    {
        $entry = $log->correct($request->person(), $id, $request->cells(), $request->string('reason')->value());

        return new JsonResponse($read->of(Aircraft::whereKey($entry->aircraft_id)->valueOrFail('mark')));
    }

    #[Api('flyingProgramme', ImportView::class, 'What it would change; nothing is saved')]
    public function programme(FeedRequest $request, FlyingFeed $feed, BringIn $bring): JsonResponse
    {
        $sectors = $request->string('what')->value() === 'sectors';
        $text = $sectors
            ? $feed->sectors()
            : $feed->flown($request->has('fault') ? $request->string('fault')->value() : null);

        return new JsonResponse(
            $bring->look(
                $request->person(),
                $sectors ? ImportKind::Sectors : ImportKind::Flying,
                'flying programme',
                $text,
            ),
        );
    }

    #[Api('cancelSector', AircraftView::class, 'The aircraft as it now stands')]
    public function cancel(int $id, ViewRequest $request, FlyingLog $log, ShowFleet $read): JsonResponse
    {
        Gate::authorize('edit', Fleet::class);

        return new JsonResponse($read->aircraft($log->cancel($request->person(), $id)->mark));
    }

    #[Api('restoreSector', AircraftView::class, 'The aircraft as it now stands')]
    public function restore(int $id, ViewRequest $request, FlyingLog $log, ShowFleet $read): JsonResponse
    {
        Gate::authorize('edit', Fleet::class);

        return new JsonResponse($read->aircraft($log->restore($request->person(), $id)->mark));
    }
}
