<?php

declare(strict_types=1);

namespace App\Fleet\Http;

use App\Fleet\Do\WhatIf;
use App\Fleet\Show\View\WhatIfView;
use App\Shared\Http\Api;
use Illuminate\Http\JsonResponse;

/** A supposed change of the plan: looked at, and saved only when told. */
final class WhatIfController
{
    #[Api('whatIf', WhatIfView::class, 'Dates before and after; nothing is saved')]
    public function look(WhatIfRequest $request, WhatIf $whatIf): JsonResponse
    {
        return new JsonResponse($whatIf->look($request->changes()));
    }

    #[Api('applyWhatIf', WhatIfView::class, 'Saved')]
    public function apply(WhatIfRequest $request, WhatIf $whatIf): JsonResponse
    {
        return new JsonResponse(
            $whatIf->apply($request->person(), $request->changes(), $request->string('base')->value()),
        );
    }
}
