<?php

declare(strict_types=1);

namespace App\Fleet\Http;

use App\Fleet\Do\WhatIf;
use App\Fleet\Show\View\WhatIfView;
use Illuminate\Http\JsonResponse;
use OpenApi\Attributes as OA;

/** A supposed change of the plan: looked at, and saved only when told. */
final class WhatIfController
{
    #[OA\Post(path: '/api/what-if', operationId: 'whatIf', requestBody: new OA\RequestBody(required: true, content: new OA\JsonContent(ref: '#/components/schemas/Supposed')), responses: [new OA\Response(response: 200, description: 'Dates before and after; nothing is saved', content: new OA\JsonContent(ref: WhatIfView::class))])]
    public function look(WhatIfRequest $request, WhatIf $whatIf): JsonResponse
    {
        return new JsonResponse($whatIf->look($request->changes()));
    }

    #[OA\Post(path: '/api/what-if/apply', operationId: 'applyWhatIf', requestBody: new OA\RequestBody(required: true, content: new OA\JsonContent(ref: '#/components/schemas/Supposed')), responses: [new OA\Response(response: 200, description: 'Saved', content: new OA\JsonContent(ref: WhatIfView::class))])]
    public function apply(WhatIfRequest $request, WhatIf $whatIf): JsonResponse
    {
        return new JsonResponse(
            $whatIf->apply($request->person(), $request->changes(), $request->string('base')->value()),
        );
    }
}
