<?php

declare(strict_types=1);

namespace App\Library\Http;

use App\Floor\Model\Card;
use App\Floor\Show\ShowCard;
use App\Floor\Show\View\CardView;
use App\Library\Do\AcceptRevision;
use App\Library\Do\AskDesk;
use App\Library\Model\CardTemplate;
use App\Library\Model\Manual;
use App\Library\Model\Question;
use App\Library\Show\ShowRevisions;
use App\Library\Show\View\ManualRoom;
use App\Shared\Http\ViewRequest;
use Illuminate\Http\JsonResponse;
use OpenApi\Attributes as OA;

/** Manuals and their revisions: what changed, what must be re-read, what was asked. */
final class RevisionController
{
    #[OA\Get(path: '/api/library/manuals/{code}', operationId: 'manual', parameters: [new OA\PathParameter(name: 'code', schema: new OA\Schema(type: 'string'))], responses: [new OA\Response(response: 200, description: 'One manual', content: new OA\JsonContent(ref: ManualRoom::class))])]
    public function show(string $code, ViewRequest $request, ShowRevisions $read): JsonResponse
    {
        return new JsonResponse($read->manual($code, $request->person()));
    }

    #[OA\Post(path: '/api/library/templates/{id}/reread', operationId: 'rereadTemplate', parameters: [new OA\PathParameter(name: 'id', schema: new OA\Schema(type: 'integer'))], requestBody: new OA\RequestBody(required: true, content: new OA\JsonContent(required: ['outcome', 'note'], properties: [new OA\Property(property: 'outcome', type: 'string', enum: ['stands', 'new', 'both']), new OA\Property(property: 'note', type: 'string'), new OA\Property(property: 'fleets', type: 'array', items: new OA\Items(type: 'string'))])), responses: [new OA\Response(response: 200, description: 'The manual as it now stands', content: new OA\JsonContent(ref: ManualRoom::class))])]
    public function template(int $id, RereadRequest $request, AcceptRevision $accept, ShowRevisions $read): JsonResponse
    {
        $template = CardTemplate::with('manual')->findOrFail($id);
        $accept->template(
            $request->person(),
            $template,
            $request->string('outcome')->value(),
            $request->string('note')->value(),
            array_values(array_map(strval(...), $request->array('fleets'))),
        );

        return new JsonResponse($read->manual($template->manual->code, $request->person()));
    }

    #[OA\Post(path: '/api/cards/{id}/reread', operationId: 'rereadCard', parameters: [new OA\PathParameter(name: 'id', schema: new OA\Schema(type: 'integer'))], requestBody: new OA\RequestBody(required: true, content: new OA\JsonContent(required: ['version', 'outcome', 'note'], properties: [new OA\Property(property: 'version', type: 'integer'), new OA\Property(property: 'outcome', type: 'string', enum: ['stands', 'new']), new OA\Property(property: 'note', type: 'string')])), responses: [new OA\Response(response: 200, description: 'The card, accepted', content: new OA\JsonContent(ref: CardView::class))])]
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

    #[OA\Post(path: '/api/library/manuals/{code}/questions', operationId: 'askDesk', parameters: [new OA\PathParameter(name: 'code', schema: new OA\Schema(type: 'string'))], requestBody: new OA\RequestBody(required: true, content: new OA\JsonContent(required: ['section', 'text'], properties: [new OA\Property(property: 'section', type: 'string'), new OA\Property(property: 'text', type: 'string')])), responses: [new OA\Response(response: 200, description: 'The manual with the question', content: new OA\JsonContent(ref: ManualRoom::class))])]
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

    #[OA\Post(path: '/api/library/questions/{id}/answer', operationId: 'answerQuestion', parameters: [new OA\PathParameter(name: 'id', schema: new OA\Schema(type: 'integer'))], requestBody: new OA\RequestBody(required: true, content: new OA\JsonContent(required: ['answer'], properties: [new OA\Property(property: 'answer', type: 'string'), new OA\Property(property: 'reference', type: 'string')])), responses: [new OA\Response(response: 200, description: 'The manual with the answer', content: new OA\JsonContent(ref: ManualRoom::class))])]
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
