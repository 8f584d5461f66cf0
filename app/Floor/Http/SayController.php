<?php

declare(strict_types=1);

namespace App\Floor\Http;

use App\Floor\Do\AnswerRollCall;
use App\Floor\Do\CommitPhoto;
use App\Floor\Do\SayAtCard;
use App\Floor\Model\Card;
use App\Floor\Model\Step;
use App\Floor\Show\ShowCard;
use App\Floor\Show\View\CardView;
use App\Library\Do\Lessons;
use App\Shared\Http\Api;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\UploadedFile;

/** What is said at a card beside its steps. */
final class SayController
{
    #[Api('remark', CardView::class, 'The card with the remark')]
    public function remark(int $id, int $no, RemarkRequest $request, SayAtCard $say, ShowCard $read): JsonResponse
    {
        $file = $say->remark($request->person(), $id, $no, trim($request->string('text')->value()));

        return new JsonResponse($read->after($file, $request->person()));
    }

    #[Api('photoAtStep', CardView::class, 'The card with the photo')]
    public function photo(
        int $id,
        int $no,
        StepPhotoRequest $request,
        CommitPhoto $commit,
        ShowCard $read,
    ): JsonResponse {
        $file = $request->file('photo');
        assert($file instanceof UploadedFile);
        $step = Step::where(['card_id' => $id, 'no' => $no])->firstOrFail();
        $commit->atStep($request->person(), $step, $request->text(), $file->getContent());

        return new JsonResponse($read->card($id, $request->person()));
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

    #[Api('standHere', CardView::class, 'The card with whoever stands there')]
    public function here(int $id, int $no, HereRequest $request, AnswerRollCall $call, ShowCard $read): JsonResponse
    {
        $file = $call->here($request->person(), $id, $no, $request->string('place')->value());

        return new JsonResponse($read->after($file, $request->person()));
    }

    #[Api('signBriefing', CardView::class, 'The card with the briefing signed')]
    public function briefed(
        int $id,
        int $no,
        BriefedRequest $request,
        AnswerRollCall $call,
        ShowCard $read,
    ): JsonResponse {
        $file = $call->brief(
            $request->person(),
            $id,
            $no,
            $request->string('stamp')->value(),
            $request->string('pin')->value(),
        );

        return new JsonResponse($read->after($file, $request->person()));
    }

    #[Api('secondWord', CardView::class, 'The card with the word said')]
    public function second(int $id, int $no, AtCardRequest $request, AnswerRollCall $call, ShowCard $read): JsonResponse
    {
        return new JsonResponse($read->after($call->second($request->person(), $id, $no), $request->person()));
    }

    #[Api('proposeLesson', CardView::class, 'The card; the lesson waits to be accepted')]
    public function learn(int $id, LessonRequest $request, Lessons $lessons, ShowCard $read): JsonResponse
    {
        $card = Card::with('template')->findOrFail($id);
        $lessons->propose($request->person(), $card->template, $id, trim($request->string('text')->value()));

        return new JsonResponse($read->card($id, $request->person()));
    }

    #[Api('readLessons', CardView::class, 'The card with its lessons read')]
    public function read(int $id, AtCardRequest $request, Lessons $lessons, ShowCard $read): JsonResponse
    {
        $lessons->read($request->person(), Card::with('template')->findOrFail($id)->template);

        return new JsonResponse($read->card($id, $request->person()));
    }

    #[Api('goOn', CardView::class, 'The card, going on')]
    public function goOn(int $id, int $wait, GoOnRequest $request, SayAtCard $say, ShowCard $read): JsonResponse
    {
        return new JsonResponse($read->after($say->goOn($request->person(), $id, $wait), $request->person()));
    }
}
