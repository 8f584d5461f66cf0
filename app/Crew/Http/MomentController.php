<?php

declare(strict_types=1);

namespace App\Crew\Http;

use App\Crew\Show\ShowMoment;
use App\Crew\Show\ShowSince;
use App\Crew\Show\View\Moment;
use App\Crew\Show\View\SinceView;
use App\Shared\Http\Api;
use App\Shared\Http\ViewRequest;
use App\Shared\Notices;
use Illuminate\Http\JsonResponse;

/** The line across the top: the clock, the shift, what waits for whoever asks, and what they must be told. */
final class MomentController
{
    #[Api('moment', Moment::class, 'Clock, shift, what waits for me, and notices')]
    public function show(ViewRequest $request, ShowMoment $show): JsonResponse
    {
        return new JsonResponse($show->for($request->person()));
    }

    #[Api('since', SinceView::class, 'What changed since I was last here')]
    public function since(ViewRequest $request, ShowSince $show): JsonResponse
    {
        return new JsonResponse($show->for($request->person()));
    }

    #[Api('noticeSeen', Moment::class, 'The line across the top, without it')]
    public function seen(int $id, ViewRequest $request, Notices $notices, ShowMoment $show): JsonResponse
    {
        $notices->seen($request->person()->id, $id);

        return new JsonResponse($show->for($request->person()));
    }
}
