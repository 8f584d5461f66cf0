<?php

declare(strict_types=1);

namespace App\Crew\Http;

use App\Crew\Show\ShowMoment;
use App\Crew\Show\View\Moment;
use App\Shared\Http\ViewRequest;
use App\Shared\Notices;
use Illuminate\Http\JsonResponse;
use OpenApi\Attributes as OA;

/** The line across the top: the clock, the shift, what waits for whoever asks, and what they must be told. */
final class MomentController
{
    #[OA\Get(path: '/api/moment', operationId: 'moment', responses: [new OA\Response(response: 200, description: 'Clock, shift, what waits for me, and notices', content: new OA\JsonContent(ref: Moment::class))])]
    public function show(ViewRequest $request, ShowMoment $show): JsonResponse
    {
        return new JsonResponse($show->for($request->person()));
    }

    #[OA\Post(path: '/api/notices/{id}/seen', operationId: 'noticeSeen', parameters: [new OA\PathParameter(name: 'id', schema: new OA\Schema(type: 'integer'))], responses: [new OA\Response(response: 200, description: 'The line across the top, without it', content: new OA\JsonContent(ref: Moment::class))])]
    public function seen(int $id, ViewRequest $request, Notices $notices, ShowMoment $show): JsonResponse
    {
        $notices->seen($request->person()->id, $id);

        return new JsonResponse($show->for($request->person()));
    }
}
