<?php

declare(strict_types=1);

namespace App\Floor\Http;

use App\Floor\Do\LineChecks;
use App\Floor\Show\ShowCard;
use App\Floor\Show\ShowLine;
use App\Floor\Show\View\CardView;
use App\Floor\Show\View\LineView;
use App\Shared\Http\Api;
use App\Shared\Http\ViewRequest;
use Illuminate\Http\JsonResponse;

/** Checks on the line: who has none, and those that are begun. */
final class LineController
{
    #[Api('line', LineView::class, 'The aircraft on the line')]
    public function index(ViewRequest $request, ShowLine $read): JsonResponse
    {
        return new JsonResponse($read->all($request->person()));
    }

    #[Api('beginLine', CardView::class, 'The card of the check', 201)]
    public function begin(LineRequest $request, LineChecks $line, ShowCard $read): JsonResponse
    {
        $card = $line->begin(
            $request->person(),
            $request->string('mark')->value(),
            $request->integer('item'),
            $request->report(),
            $request->string('flight')->value() ?: null,
        );

        return new JsonResponse($read->card($card->id, $request->person()), 201);
    }

    #[Api('takeCard', CardView::class, 'The card, with who took it')]
    public function take(int $id, AtCardRequest $request, LineChecks $line, ShowCard $read): JsonResponse
    {
        $line->take($request->person(), $id);

        return new JsonResponse($read->card($id, $request->person()));
    }

    #[Api('leaveLine', LineView::class, 'The aircraft on the line')]
    public function leave(int $id, LeaveLineRequest $request, LineChecks $line, ShowLine $read): JsonResponse
    {
        $line->leave($request->person(), $id, $request->string('why')->value());

        return new JsonResponse($read->all($request->person()));
    }
}
