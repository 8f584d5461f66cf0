<?php

declare(strict_types=1);

namespace App\Library\Http;

use App\Library\Do\Lessons;
use App\Library\Show\ShowCards;
use App\Library\Show\View\CardRoom;
use App\Shared\Http\Api;
use Illuminate\Http\JsonResponse;

/** What went wrong at a card once, accepted or declined. */
final class LessonController
{
    #[Api('decideLesson', CardRoom::class, 'The card with the lesson decided')]
    public function decide(int $id, DecideLessonRequest $request, Lessons $lessons, ShowCards $read): JsonResponse
    {
        $lesson = $lessons->decide(
            $request->person(),
            $id,
            $request->boolean('accept') ? null : trim($request->string('why')->value()),
        );

        return new JsonResponse($read->one(
            $lesson->template->type->code,
            $lesson->template->code,
            $request->person(),
        ));
    }
}
