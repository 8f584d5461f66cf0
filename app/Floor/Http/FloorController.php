<?php

declare(strict_types=1);

namespace App\Floor\Http;

use App\Floor\Do\HandCardOver;
use App\Floor\Do\SignCard;
use App\Floor\Do\TakeReading;
use App\Floor\Do\WorkStep;
use App\Floor\FloorWords;
use App\Floor\Model\Card;
use App\Floor\Model\Step;
use App\Floor\Show\ShowCard;
use App\Floor\Show\ShowFloor;
use App\Floor\Show\View\CardView;
use App\Floor\Show\View\FloorView;
use App\Floor\Show\View\Preview;
use App\Now\CardFile;
use App\Shared\Http\RoomRequest;
use App\Shared\Http\ViewRequest;
use App\Shared\Refused;
use App\Stores\Do\ToolDesk;
use Illuminate\Http\JsonResponse;
use Jorvel\Core\Shared\InputError;
use OpenApi\Attributes as OA;

/** The room Floor: cards and their steps. */
final class FloorController
{
    #[OA\Get(path: '/api/floor', operationId: 'floor', responses: [new OA\Response(response: 200, description: 'Open cards, mine first', content: new OA\JsonContent(ref: FloorView::class))])]
    public function index(ViewRequest $request, ShowFloor $read): JsonResponse
    {
        return new JsonResponse($read->cards($request->person()));
    }

    #[OA\Get(path: '/api/cards/{id}', operationId: 'card', parameters: [new OA\PathParameter(name: 'id', schema: new OA\Schema(type: 'integer'))], responses: [new OA\Response(response: 200, description: 'One card', content: new OA\JsonContent(ref: CardView::class))])]
    public function show(int $id, ViewRequest $request, ShowCard $read): JsonResponse
    {
        return $this->answer(null, $request, $read, $id);
    }

    #[OA\Post(path: '/api/cards/{id}/steps/{no}', operationId: 'workStep', parameters: [new OA\PathParameter(name: 'id', schema: new OA\Schema(type: 'integer')), new OA\PathParameter(name: 'no', schema: new OA\Schema(type: 'integer'))], requestBody: new OA\RequestBody(required: true, content: new OA\JsonContent(required: ['version', 'do'], properties: [
        new OA\Property(property: 'version', type: 'integer'), new OA\Property(property: 'do', type: 'string'),
        new OA\Property(property: 'entry', type: 'string'),
        new OA\Property(
            property: 'entries',
            type: 'object',
            additionalProperties: new OA\AdditionalProperties(type: 'string'),
        ),
        new OA\Property(property: 'tool', type: 'string'), new OA\Property(property: 'note', type: 'string'),
    ])), responses: [new OA\Response(response: 200, description: 'The card as it now stands', content: new OA\JsonContent(ref: CardView::class))])]
    public function work(int $id, int $no, StepRequest $request, WorkStep $work, ShowCard $read): JsonResponse
    {
        return $this->answer($work($request->person(), $id, $no, $request->step()), $request, $read);
    }

    #[OA\Post(path: '/api/cards/{id}/steps/{no}/preview', operationId: 'previewReading', parameters: [new OA\PathParameter(name: 'id', schema: new OA\Schema(type: 'integer')), new OA\PathParameter(name: 'no', schema: new OA\Schema(type: 'integer'))], requestBody: new OA\RequestBody(required: true, content: new OA\JsonContent(required: ['entry'], properties: [new OA\Property(property: 'entry', type: 'string'), new OA\Property(property: 'point', type: 'string'), new OA\Property(property: 'tool', type: 'string')])), responses: [new OA\Response(response: 200, description: 'What would be said of it; nothing is kept', content: new OA\JsonContent(ref: Preview::class))])]
    public function preview(int $id, int $no, ViewRequest $request, TakeReading $readings): JsonResponse
    {
        $step = Step::where(['card_id' => $id, 'no' => $no])->firstOrFail();
        $spec = $step->readingSpec($request->string('point')->value());
        if ($spec === []) {
            return new JsonResponse(new Preview('invalid', "Step {$no} takes no such reading.", null));
        }
        try {
            $tool = $readings->tool($spec, $request->string('tool')->value());
            $result = $readings->judge($spec, $request->string('entry')->value(), $tool);
        } catch (Refused|InputError $e) {
            return new JsonResponse(new Preview('invalid', $e->getMessage(), null));
        }

        return new JsonResponse(
            new Preview(
                $result->verdict->value,
                FloorWords::reading($result->verdict->value, $result->margin, $result->unit->value),
                $result->value,
            ),
        );
    }

    #[OA\Post(path: '/api/cards/{id}/sign', operationId: 'signCard', parameters: [new OA\PathParameter(name: 'id', schema: new OA\Schema(type: 'integer'))], requestBody: new OA\RequestBody(required: true, content: new OA\JsonContent(required: ['version', 'stamp', 'pin'], properties: [new OA\Property(property: 'version', type: 'integer'), new OA\Property(property: 'stamp', type: 'string'), new OA\Property(property: 'pin', type: 'string'), new OA\Property(property: 'spent', description: 'hours that it took; as planned where absent', type: 'number', nullable: true), new OA\Property(property: 'counted', description: 'what came back, by loan', type: 'object', additionalProperties: new OA\AdditionalProperties(type: 'integer'))])), responses: [new OA\Response(response: 200, description: 'The card, signed', content: new OA\JsonContent(ref: CardView::class))])]
    public function sign(int $id, SignRequest $request, SignCard $sign, ShowCard $read): JsonResponse
    {
        $file = $sign->sign(
            $request->person(),
            $id,
            $request->integer('version'),
            $request->string('stamp')->value(),
            $request->string('pin')->value(),
            $request->input('spent') === null ? null : $request->float('spent'),
            $request->counted(),
        );

        return $this->answer($file, $request, $read);
    }

    #[OA\Post(path: '/api/cards/{id}/inspect', operationId: 'inspectCard', parameters: [new OA\PathParameter(name: 'id', schema: new OA\Schema(type: 'integer'))], requestBody: new OA\RequestBody(required: true, content: new OA\JsonContent(required: ['version', 'stamp', 'pin'], properties: [new OA\Property(property: 'version', type: 'integer'), new OA\Property(property: 'covers', type: 'array', items: new OA\Items(type: 'string')), new OA\Property(property: 'stamp', type: 'string'), new OA\Property(property: 'pin', type: 'string')])), responses: [new OA\Response(response: 200, description: 'The card, inspected', content: new OA\JsonContent(ref: CardView::class))])]
    public function inspect(int $id, SignRequest $request, SignCard $sign, ShowCard $read): JsonResponse
    {
        $file = $sign->inspect(
            $request->person(),
            $id,
            $request->integer('version'),
            $request->covers(),
            $request->string('stamp')->value(),
            $request->string('pin')->value(),
        );

        return $this->answer($file, $request, $read);
    }

    #[OA\Post(path: '/api/cards/{id}/steps/{no}/inspect', operationId: 'inspectStep', parameters: [new OA\PathParameter(name: 'id', schema: new OA\Schema(type: 'integer')), new OA\PathParameter(name: 'no', schema: new OA\Schema(type: 'integer'))], requestBody: new OA\RequestBody(required: true, content: new OA\JsonContent(required: ['version', 'covers', 'stamp', 'pin'], properties: [new OA\Property(property: 'version', type: 'integer'), new OA\Property(property: 'covers', type: 'array', items: new OA\Items(type: 'string')), new OA\Property(property: 'stamp', type: 'string'), new OA\Property(property: 'pin', type: 'string')])), responses: [new OA\Response(response: 200, description: 'The card with its step inspected', content: new OA\JsonContent(ref: CardView::class))])]
    public function inspectStep(int $id, int $no, SignRequest $request, SignCard $sign, ShowCard $read): JsonResponse
    {
        $file = $sign->inspectStep(
            $request->person(),
            $id,
            $no,
            $request->integer('version'),
            $request->covers(),
            $request->string('stamp')->value(),
            $request->string('pin')->value(),
        );

        return $this->answer($file, $request, $read);
    }

    #[OA\Post(path: '/api/cards/{id}/hand-over', operationId: 'handOver', parameters: [new OA\PathParameter(name: 'id', schema: new OA\Schema(type: 'integer'))], requestBody: new OA\RequestBody(required: true, content: new OA\JsonContent(required: ['version', 'said'], properties: [new OA\Property(property: 'version', type: 'integer'), new OA\Property(property: 'said', type: 'string')])), responses: [new OA\Response(response: 200, description: 'The card, handed over with its state in words', content: new OA\JsonContent(ref: CardView::class))])]
    public function handOver(int $id, HandOverRequest $request, HandCardOver $handOver, ShowCard $read): JsonResponse
    {
        $file = $handOver->give(
            $request->person(),
            $id,
            $request->integer('version'),
            $request->string('said')->value(),
        );

        return $this->answer($file, $request, $read);
    }

    #[OA\Post(path: '/api/cards/{id}/take-over', operationId: 'takeOver', parameters: [new OA\PathParameter(name: 'id', schema: new OA\Schema(type: 'integer'))], responses: [new OA\Response(response: 200, description: 'The card, taken over', content: new OA\JsonContent(ref: CardView::class))])]
    public function takeOver(int $id, OnCardRequest $request, HandCardOver $handOver, ShowCard $read): JsonResponse
    {
        $file = $handOver->take($request->person(), $id);

        return $this->answer($file, $request, $read);
    }

    #[OA\Post(path: '/api/cards/{id}/here', operationId: 'comeToCard', parameters: [new OA\PathParameter(name: 'id', schema: new OA\Schema(type: 'integer'))], responses: [new OA\Response(response: 200, description: 'The card with whoever came at it', content: new OA\JsonContent(ref: CardView::class))])]
    public function come(int $id, AtCardRequest $request, HandCardOver $handOver, ShowCard $read): JsonResponse
    {
        $file = $handOver->come($request->person(), $id);

        return $this->answer($file, $request, $read);
    }

    #[OA\Post(path: '/api/cards/{id}/clear', operationId: 'callClear', parameters: [new OA\PathParameter(name: 'id', schema: new OA\Schema(type: 'integer'))], requestBody: new OA\RequestBody(required: true, content: new OA\JsonContent(required: ['person'], properties: [new OA\Property(property: 'person', type: 'integer')])), responses: [new OA\Response(response: 200, description: 'The card without that person at it', content: new OA\JsonContent(ref: CardView::class))])]
    public function clear(int $id, ClearRequest $request, HandCardOver $handOver, ShowCard $read): JsonResponse
    {
        $file = $handOver->clear($request->person(), $id, $request->integer('person'));

        return $this->answer($file, $request, $read);
    }

    #[OA\Post(path: '/api/cards/{id}/loans', operationId: 'takeOut', parameters: [new OA\PathParameter(name: 'id', schema: new OA\Schema(type: 'integer'))], requestBody: new OA\RequestBody(required: true, content: new OA\JsonContent(properties: [new OA\Property(property: 'tool', type: 'string'), new OA\Property(property: 'what', type: 'string'), new OA\Property(property: 'quantity', type: 'integer')])), responses: [new OA\Response(response: 200, description: 'The card with what is out on it', content: new OA\JsonContent(ref: CardView::class))])]
    public function takeOut(int $id, TakeOutRequest $request, ToolDesk $desk, ShowCard $read): JsonResponse
    {
        $card = $this->card($id);
        $request->filled('tool')
            ? $desk->takeOut($request->person(), $card, $request->string('tool')->value())
            : $desk->outSmall(
                $request->person(),
                $card,
                $request->string('what')->value(),
                $request->integer('quantity'),
            );

        return $this->answer(null, $request, $read, $id);
    }

    private function card(int $id): Card
    {
        return Card::findOrFail($id);
    }

    private function answer(?CardFile $file, RoomRequest $request, ShowCard $read, int $id = 0): JsonResponse
    {
        return new JsonResponse(
            $file === null ? $read->card($id, $request->person()) : $read->after($file, $request->person()),
        );
    }
}
