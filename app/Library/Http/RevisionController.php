<?php

declare(strict_types=1);

namespace App\Library\Http;

use App\Floor\Model\Card;
use App\Floor\Show\ShowCard;
use App\Floor\Show\View\CardView;
use App\Library\Do\AcceptRevision;
use App\Library\Do\AskDesk;
use App\Library\Do\RenewCard;
use App\Library\Model\CardTemplate;
use App\Library\Model\Manual;
use App\Library\Model\Question;
use App\Library\Show\ShowRevisions;
use App\Library\Show\View\ManualRoom;
use App\Shared\Http\Api;
use App\Shared\Http\ViewRequest;
use Illuminate\Http\JsonResponse;

/** Manuals and their revisions: what changed, what must be re-read, what was asked. */
final class RevisionController
{
    #[Api('manual', ManualRoom::class, 'One manual')]
    public function show(string $code, ViewRequest $request, ShowRevisions $read): JsonResponse
    {
        return new JsonResponse($read->manual($code, $request->person()));
    }

    #[Api('rereadTemplate', ManualRoom::class, 'The manual as it now stands')]
    public function template(int $id, RereadRequest $request, AcceptRevision $accept, ShowRevisions $read): JsonResponse
    {
        $template = CardTemplate::with('manual')->findOrFail($id);
        $accept->template(
            $request->person(),
            $template,
            $request->string('outcome')->value(),
            $request->string('note')->value(),
            array_values(array_map(strval(...), $request->array('fleets'))),
            array_values(array_map(strval(...), $request->array('seen'))),
        );

        return new JsonResponse($read->manual($template->manual->code, $request->person()));
    }

    #[Api('rereadMany', ManualRoom::class, 'The manual with all of them accepted')]
    public function many(
        string $code,
        RereadManyRequest $request,
        AcceptRevision $accept,
        ShowRevisions $read,
    ): JsonResponse {
        $accept->many(
            $request->person(),
            Manual::where('code', $code)->firstOrFail(),
            array_values(array_map(intval(...), $request->array('templates'))),
            array_map(intval(...), $request->array('cards')),
            $request->string('note')->value(),
            array_values(array_map(strval(...), $request->array('seen'))),
        );

        return new JsonResponse($read->manual($code, $request->person()));
    }

    #[Api('renewCard', CardView::class, 'The card with the text in force')]
    public function renew(int $id, RenewRequest $request, RenewCard $renew, ShowCard $read): JsonResponse
    {
        $renew($request->person(), $id, $request->integer('version'));

        return new JsonResponse($read->card($id, $request->person()));
    }

    #[Api('rereadCard', CardView::class, 'The card, accepted')]
    public function card(int $id, RereadCardRequest $request, AcceptRevision $accept, ShowCard $read): JsonResponse
    {
        $accept->card(
            $request->person(),
            Card::findOrFail($id),
            $request->integer('version'),
            $request->string('outcome')->value(),
            $request->string('note')->value(),
        );

        return new JsonResponse($read->card($id, $request->person()));
    }

    #[Api('askDesk', ManualRoom::class, 'The manual with the question')]
    public function ask(string $code, AskRequest $request, AskDesk $desk, ShowRevisions $read): JsonResponse
    {
        $desk->ask(
            $request->person(),
            Manual::where('code', $code)->firstOrFail(),
            $request->string('section')->value(),
            $request->string('text')->value(),
        );

        return new JsonResponse($read->manual($code, $request->person()));
    }

    #[Api('answerQuestion', ManualRoom::class, 'The manual with the answer')]
    public function answer(int $id, AnswerRequest $request, AskDesk $desk, ShowRevisions $read): JsonResponse
    {
        $question = Question::with('manual')->findOrFail($id);
        $desk->answer(
            $request->person(),
            $question,
            $request->string('answer')->value(),
            $request->filled('reference') ? $request->string('reference')->value() : null,
        );

        return new JsonResponse($read->manual($question->manual->code, $request->person()));
    }
}
