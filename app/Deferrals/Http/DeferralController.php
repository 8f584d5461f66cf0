<?php

declare(strict_types=1);

namespace App\Deferrals\Http;

use App\Deferrals\Do\Defer;
use App\Deferrals\Model\ListedItem;
use App\Deferrals\Show\ShowDeferrals;
use App\Deferrals\Show\View\DeferralsView;
use App\Floor\Model\Finding;
use Illuminate\Http\JsonResponse;
use OpenApi\Attributes as OA;

/** The room Deferrals. */
final class DeferralController
{
    #[OA\Get(path: '/api/deferrals', operationId: 'deferrals', responses: [new OA\Response(response: 200, description: 'Carried defects and open findings', content: new OA\JsonContent(ref: DeferralsView::class))])]
    public function index(ShowDeferrals $read): JsonResponse
    {
        return new JsonResponse($read->all());
    }

    #[OA\Post(path: '/api/findings/{id}/defer', operationId: 'defer', parameters: [new OA\PathParameter(name: 'id', schema: new OA\Schema(type: 'integer'))], requestBody: new OA\RequestBody(required: true, content: new OA\JsonContent(required: ['item', 'safed', 'stamp', 'pin'], properties: [new OA\Property(property: 'item', type: 'integer'), new OA\Property(property: 'safed', type: 'boolean'), new OA\Property(property: 'carry_safing', type: 'boolean'), new OA\Property(property: 'stamp', type: 'string'), new OA\Property(property: 'pin', type: 'string')])), responses: [new OA\Response(response: 200, description: 'The room as it now stands', content: new OA\JsonContent(ref: DeferralsView::class))])]
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
