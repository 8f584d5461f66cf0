<?php

declare(strict_types=1);

namespace App\Visits\Http;

use App\Shared\Http\Api;
use App\Visits\Do\SetWindow;
use App\Visits\Model\Visit;
use App\Visits\Show\ShowProgress;
use App\Visits\Show\ShowWindow;
use App\Visits\Show\View\ProgressView;
use App\Visits\Show\View\WindowView;
use Illuminate\Http\JsonResponse;

/** The look and fix windows of a visit, and how it goes. */
final class WindowController
{
    #[Api('window', WindowView::class, 'Findings to come, and whether the fix window holds')]
    public function show(int $id, ShowWindow $read): JsonResponse
    {
        return new JsonResponse($read->one($id));
    }

    #[Api('setWindow', WindowView::class, 'The windows as they now stand')]
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

    #[Api('progress', ProgressView::class, 'Cards, hours, findings and the exit by day')]
    public function progress(int $id, ShowProgress $read): JsonResponse
    {
        return new JsonResponse($read->one($id));
    }
}
