<?php

declare(strict_types=1);

namespace App\Bench\Http;

use App\Bench\Show\ShowBench;
use App\Bench\Show\Trends;
use App\Bench\Show\View\AttemptDetail;
use App\Bench\Show\View\BenchView;
use App\Bench\Show\View\TrendsRoom;
use App\Bench\Show\View\TrendView;
use App\Floor\Model\TestAttempt;
use App\Shared\Http\Api;
use App\Shared\Http\ViewRequest;
use Illuminate\Http\JsonResponse;

/** The room Bench: functional tests, trends, and rigging sheets wherever they stand on cards. */
final class BenchController
{
    #[Api('bench', BenchView::class, 'What is to be tested, what ran, what failed')]
    public function index(ViewRequest $request, ShowBench $read): JsonResponse
    {
        return new JsonResponse($read->room());
    }

    #[Api('attempt', AttemptDetail::class, 'An attempt as it was')]
    public function attempt(int $id, ViewRequest $request, ShowBench $read): JsonResponse
    {
        return new JsonResponse($read->one(TestAttempt::findOrFail($id)));
    }

    #[Api('trends', TrendsRoom::class, 'The points that are followed')]
    public function trends(ViewRequest $request, Trends $trends): JsonResponse
    {
        return new JsonResponse($trends->room());
    }

    #[Api('trend', TrendView::class, 'The trend that a reading belongs to')]
    public function trend(int $id, ViewRequest $request, Trends $trends): JsonResponse
    {
        return new JsonResponse($trends->of($id) ?? abort(404));
    }
}
