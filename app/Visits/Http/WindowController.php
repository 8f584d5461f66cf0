<?php

declare(strict_types=1);

namespace App\Visits\Http;

use App\Visits\Do\SetWindow;
use App\Visits\Model\Visit;
use App\Visits\Show\ShowProgress;
use App\Visits\Show\ShowWindow;
use App\Visits\Show\View\ProgressView;
use App\Visits\Show\View\WindowView;
use Illuminate\Http\JsonResponse;
use OpenApi\Attributes as OA;

/** The look and fix windows of a visit, and how it goes. */
final class WindowController
{
    #[OA\Get(path: '/api/visits/{id}/window', operationId: 'window', parameters: [new OA\PathParameter(name: 'id', schema: new OA\Schema(type: 'integer'))], responses: [new OA\Response(response: 200, description: 'Findings to come, and whether the fix window holds', content: new OA\JsonContent(ref: WindowView::class))])]
    public function show(int $id, ShowWindow $read): JsonResponse
    {
        return new JsonResponse($read->one($id));
    }

    #[OA\Post(path: '/api/visits/{id}/window', operationId: 'setWindow', parameters: [new OA\PathParameter(name: 'id', schema: new OA\Schema(type: 'integer'))], requestBody: new OA\RequestBody(required: true, content: new OA\JsonContent(required: ['look_until', 'prior', 'reason'], properties: [
        new OA\Property(property: 'look_until', type: 'string', nullable: true),
        new OA\Property(
            property: 'prior',
            description: 'null for the type\'s history',
            type: 'object',
            nullable: true,
            required: ['per_hundred', 'worth_hours'],
            properties: [
                new OA\Property(property: 'per_hundred', type: 'number'),
                new OA\Property(property: 'worth_hours', type: 'number'),
            ],
        ),
        new OA\Property(property: 'reason', type: 'string'),
    ])), responses: [new OA\Response(response: 200, description: 'The windows as they now stand', content: new OA\JsonContent(ref: WindowView::class))])]
    public function set(int $id, WindowRequest $request, SetWindow $set, ShowWindow $read): JsonResponse
    {
        /** @var array{per_hundred: int|float|string, worth_hours: int|float|string}|null $prior */
        $prior = $request->input('prior');
        $set(
            $request->person(),
            Visit::findOrFail($id),
            $request->input('look_until'),
            $prior === null
                ? null
                : ['per_hundred' => (float) $prior['per_hundred'], 'worth_hours' => (float) $prior['worth_hours']],
            $request->string('reason')->value(),
        );

        return new JsonResponse($read->one($id));
    }

    #[OA\Get(path: '/api/visits/{id}/progress', operationId: 'progress', parameters: [new OA\PathParameter(name: 'id', schema: new OA\Schema(type: 'integer'))], responses: [new OA\Response(response: 200, description: 'Cards, hours, findings and the exit by day', content: new OA\JsonContent(ref: ProgressView::class))])]
    public function progress(int $id, ShowProgress $read): JsonResponse
    {
        return new JsonResponse($read->one($id));
    }
}
