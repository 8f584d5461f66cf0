<?php

declare(strict_types=1);

namespace App\Floor\Http;

use App\Floor\Do\SayAtCard;
use App\Floor\Show\ShowCard;
use App\Floor\Show\View\CardView;
use App\Shared\Http\Api;
use Illuminate\Http\JsonResponse;

/** What is said at a card beside its steps. */
final class SayController
{
    #[Api('remark', CardView::class, 'The card with the remark')]
    public function remark(int $id, int $no, RemarkRequest $request, SayAtCard $say, ShowCard $read): JsonResponse
    {
        $file = $say->remark($request->person(), $id, $no, trim($request->string('text')->value()));

        return new JsonResponse($read->after($file, $request->person()));
    }

    #[Api('wait', CardView::class, 'The card, waiting')]
    public function wait(int $id, WaitRequest $request, SayAtCard $say, ShowCard $read): JsonResponse
    {
        $file = $say->wait(
            $request->person(),
            $id,
            $request->string('kind')->value(),
            trim($request->string('what')->value()),
            $request->input('step') === null ? null : $request->integer('step'),
        );

        return new JsonResponse($read->after($file, $request->person()));
    }

    #[Api('goOn', CardView::class, 'The card, going on')]
    public function goOn(int $id, int $wait, GoOnRequest $request, SayAtCard $say, ShowCard $read): JsonResponse
    {
        return new JsonResponse($read->after($say->goOn($request->person(), $id, $wait), $request->person()));
    }
}
