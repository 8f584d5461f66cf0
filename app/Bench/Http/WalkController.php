<?php

declare(strict_types=1);

namespace App\Bench\Http;

use App\Bench\Do\Walks;
use App\Bench\Model\FaultWalk;
use App\Bench\Show\ShowWalk;
use App\Bench\Show\View\WalkView;
use App\Shared\Http\Api;
use App\Shared\Http\ViewRequest;
use Illuminate\Http\JsonResponse;

/** The way through a fault tree. */
final class WalkController
{
    #[Api('walk', WalkView::class, 'The way through its fault tree')]
    public function show(int $id, ViewRequest $request, ShowWalk $read): JsonResponse
    {
        return new JsonResponse($read->of(FaultWalk::where('finding_id', $id)->firstOrFail(), $request->person()));
    }

    #[Api('answerWalk', WalkView::class, 'The way with the answer')]
    public function answer(int $id, WalkRequest $request, Walks $walks, ShowWalk $read): JsonResponse
    {
        $walk = FaultWalk::with(['tree', 'finding.card', 'finding.aircraft'])->where('finding_id', $id)->firstOrFail();
        $seen = $request->integer('version');
        $note = trim($request->string('note')->value());
        match ($request->string('do')->value()) {
            'back' => $walks->back($request->person(), $walk, $seen, $note),
            'card' => $walks->card($request->person(), $walk, $seen),
            default => $walks->answer(
                $request->person(),
                $walk,
                $seen,
                trim($request->string('answer')->value()),
                $note,
            ),
        };

        return new JsonResponse($read->of($walk->refresh(), $request->person()));
    }
}
