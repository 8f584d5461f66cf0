<?php

declare(strict_types=1);

namespace App\Deferrals\Http;

use App\Deferrals\Do\Defer;
use App\Deferrals\Model\ListedItem;
use App\Deferrals\Show\ShowDeferrals;
use App\Deferrals\Show\View\DeferralsView;
use App\Floor\Model\Finding;
use App\Shared\Http\Api;
use Illuminate\Http\JsonResponse;

/** The room Deferrals. */
final class DeferralController
{
    #[Api('deferrals', DeferralsView::class, 'Carried defects and open findings')]
    public function index(ShowDeferrals $read): JsonResponse
    {
        return new JsonResponse($read->all());
    }

    #[Api('defer', DeferralsView::class, 'The room as it now stands')]
    public function defer(int $id, DeferRequest $request, Defer $defer, ShowDeferrals $read): JsonResponse
    {
        $defer(
            $request->person(),
            Finding::with('aircraft')->findOrFail($id),
            ListedItem::findOrFail($request->integer('item')),
            $request->boolean('safed'),
            $request->boolean('carry_safing'),
            $request->string('stamp')->value(),
            $request->string('pin')->value(),
        );

        return new JsonResponse($read->all());
    }
}
