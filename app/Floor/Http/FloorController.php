<?php

declare(strict_types=1);

namespace App\Floor\Http;

use App\Floor\Do\HandCardOver;
use App\Floor\Do\SignCard;
use App\Floor\Do\WorkStep;
use App\Floor\Model\Card;
use App\Floor\Model\Step;
use App\Floor\Show\PreviewReading;
use App\Floor\Show\ShowBeside;
use App\Floor\Show\ShowCard;
use App\Floor\Show\ShowFloor;
use App\Floor\Show\ShowStep;
use App\Floor\Show\View\BesideView;
use App\Floor\Show\View\CardView;
use App\Floor\Show\View\FloorView;
use App\Floor\Show\View\PointsView;
use App\Floor\Show\View\Preview;
use App\Now\CardFile;
use App\Shared\Http\Api;
use App\Shared\Http\RoomRequest;
use App\Shared\Http\ViewRequest;
use App\Stores\Do\ToolDesk;
use Illuminate\Http\JsonResponse;

/** The room Floor: cards and their steps. */
final class FloorController
{
    #[Api('floor', FloorView::class, 'Open cards, mine first')]
    public function index(ViewRequest $request, ShowFloor $read): JsonResponse
    {
        return new JsonResponse($read->cards($request->person()));
    }

    #[Api('card', CardView::class, 'One card')]
    public function show(int $id, ViewRequest $request, ShowCard $read): JsonResponse
    {
        return $this->answer(null, $request, $read, $id);
    }

    #[Api('workStep', CardView::class, 'The card as it now stands')]
    public function work(int $id, int $no, StepRequest $request, WorkStep $work, ShowCard $read): JsonResponse
    {
        return $this->answer($work($request->person(), $id, $no, $request->step()), $request, $read);
    }

    #[Api('workPoints', PointsView::class, 'The points as they now stand')]
    public function points(int $id, int $no, PointRequest $request, WorkStep $work, ShowStep $read): JsonResponse
    {
        $file = $work($request->person(), $id, $no, $request->step());

        return new JsonResponse(new PointsView(
            $file->card->version,
            $no,
            $read->pointsOf($file->step($no), array_map(strval(...), array_keys($request->array('entries')))),
        ));
    }

    #[Api('previewReading', Preview::class, 'What would be said of it; nothing is kept')]
    public function preview(int $id, int $no, PreviewRequest $request, PreviewReading $preview): JsonResponse
    {
        return new JsonResponse($preview->of(
            Step::where(['card_id' => $id, 'no' => $no])->firstOrFail(),
            $request->string('point')->value(),
            $request->string('entry')->value(),
            $request->string('tool')->value(),
            $request->array('entries'),
        ));
    }

    #[Api('readingsBeside', [BesideView::class], 'What its points read before, here, on a sister, in the fleet')]
    public function beside(int $id, int $no, ViewRequest $request, ShowBeside $read): JsonResponse
    {
        return new JsonResponse($read->of(Step::with('card')->where(['card_id' => $id, 'no' => $no])->firstOrFail()));
    }

    #[Api('signCard', CardView::class, 'The card, signed')]
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

    #[Api('inspectCard', CardView::class, 'The card, inspected')]
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

    #[Api('inspectStep', CardView::class, 'The card with its step inspected')]
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

    #[Api('handOver', CardView::class, 'The card, handed over with its state in words')]
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

    #[Api('takeOver', CardView::class, 'The card, taken over')]
    public function takeOver(int $id, OnCardRequest $request, HandCardOver $handOver, ShowCard $read): JsonResponse
    {
        $file = $handOver->take($request->person(), $id);

        return $this->answer($file, $request, $read);
    }

    #[Api('comeToCard', CardView::class, 'The card with whoever came at it')]
    public function come(int $id, AtCardRequest $request, HandCardOver $handOver, ShowCard $read): JsonResponse
    {
        $file = $handOver->come($request->person(), $id);

        return $this->answer($file, $request, $read);
    }

    #[Api('callClear', CardView::class, 'The card without that person at it')]
    public function clear(int $id, ClearRequest $request, HandCardOver $handOver, ShowCard $read): JsonResponse
    {
        $file = $handOver->clear($request->person(), $id, $request->integer('person'));

        return $this->answer($file, $request, $read);
    }

    #[Api('takeOut', CardView::class, 'The card with what is out on it')]
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
