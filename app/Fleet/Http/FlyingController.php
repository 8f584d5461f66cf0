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
use App\Library\Show\View\ImportView;
use App\Shared\Http\ViewRequest;
use Illuminate\Http\JsonResponse;
use Illuminate\Support\Facades\Gate;
use OpenApi\Attributes as OA;

/** Flying: entered by hand, corrected, and taken from the flying programme. */
final class FlyingController
{
    #[OA\Post(path: '/api/fleet/{mark}/flying', operationId: 'enterFlying', parameters: [new OA\PathParameter(name: 'mark', schema: new OA\Schema(type: 'string'))], requestBody: new OA\RequestBody(required: true, content: new OA\JsonContent(required: ['date', 'flown'], properties: [new OA\Property(property: 'date', type: 'string'), new OA\Property(property: 'flown', description: 'by counter (fh), or counter reading (fh_total), as typed', type: 'object', additionalProperties: new OA\AdditionalProperties(type: 'string')), new OA\Property(property: 'sure', description: 'what was asked about it is meant', type: 'boolean')])), responses: [new OA\Response(response: 200, description: 'The aircraft as it now stands', content: new OA\JsonContent(ref: AircraftView::class))])]
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

    #[OA\Post(path: '/api/flying/{id}/correct', operationId: 'correctFlying', parameters: [new OA\PathParameter(name: 'id', schema: new OA\Schema(type: 'integer'))], requestBody: new OA\RequestBody(required: true, content: new OA\JsonContent(required: ['flown', 'reason'], properties: [new OA\Property(property: 'flown', type: 'object', additionalProperties: new OA\AdditionalProperties(type: 'string')), new OA\Property(property: 'reason', type: 'string')])), responses: [new OA\Response(response: 200, description: 'The history as it now stands', content: new OA\JsonContent(ref: HistoryView::class))])]
    public function correct(int $id, CorrectFlyingRequest $request, FlyingLog $log, ShowHistory $read): JsonResponse
    {
        $entry = $log->correct($request->person(), $id, $request->cells(), $request->string('reason')->value());

        return new JsonResponse($read->of(Aircraft::whereKey($entry->aircraft_id)->valueOrFail('mark')));
    }

    #[OA\Post(path: '/api/flying-programme', operationId: 'flyingProgramme', requestBody: new OA\RequestBody(required: true, content: new OA\JsonContent(required: ['what'], properties: [new OA\Property(property: 'what', type: 'string', enum: ['flown', 'sectors']), new OA\Property(property: 'fault', type: 'string', enum: FlyingFeed::FAULTS)])), responses: [new OA\Response(response: 200, description: 'What it would change; nothing is saved', content: new OA\JsonContent(ref: ImportView::class))])]
    public function programme(ViewRequest $request, FlyingFeed $feed, BringIn $bring): JsonResponse
    {
        Gate::authorize('edit', Fleet::class);
        $request->validate(['what' => 'required|in:flown,sectors', 'fault' => 'in:'.implode(',', FlyingFeed::FAULTS)]);
        $sectors = $request->string('what')->value() === 'sectors';
        $text = $sectors
            ? $feed->sectors()
            : $feed->flown($request->has('fault') ? $request->string('fault')->value() : null);

        return new JsonResponse(
            $bring->look($request->person(), $sectors ? 'sectors' : 'flying', 'flying programme', $text),
        );
    }

    #[OA\Post(path: '/api/sectors/{id}/cancel', operationId: 'cancelSector', parameters: [new OA\PathParameter(name: 'id', schema: new OA\Schema(type: 'integer'))], responses: [new OA\Response(response: 200, description: 'The aircraft as it now stands', content: new OA\JsonContent(ref: AircraftView::class))])]
    public function cancel(int $id, ViewRequest $request, FlyingLog $log, ShowFleet $read): JsonResponse
    {
        Gate::authorize('edit', Fleet::class);

        return new JsonResponse($read->aircraft($log->cancel($request->person(), $id)->mark));
    }
}
