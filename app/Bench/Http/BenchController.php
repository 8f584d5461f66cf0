<?php

declare(strict_types=1);

namespace App\Bench\Http;

use App\Bench\Do\FollowTrend;
use App\Bench\Show\PastTests;
use App\Bench\Show\ShowBench;
use App\Bench\Show\Trends;
use App\Bench\Show\View\AttemptDetail;
use App\Bench\Show\View\BenchView;
use App\Bench\Show\View\PastTestsView;
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

    #[Api('pastTests', PastTestsView::class, 'Every attempt there was, by aircraft and system')]
    public function past(PastTestsRequest $request, PastTests $read): JsonResponse
    {
        return new JsonResponse($read->of(
            $request->validated('mark'),
            $request->validated('system'),
            $request->has('before') ? $request->integer('before') : null,
        ));
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

    #[Api('followTrend', TrendView::class, 'The trend, in the due list or out of it')]
    public function follow(int $id, FollowTrendRequest $request, FollowTrend $follow, Trends $trends): JsonResponse
    {
        $follow($request->person(), $id, $request->boolean('follow'), $request->string('why')->value());

        return new JsonResponse($trends->of($id) ?? abort(404));
    }
}
