<?php

declare(strict_types=1);

namespace App\Stores\Http;

use App\Shared\Http\Api;
use App\Shared\Http\ViewRequest;
use App\Shared\Refused;
use App\Stores\Do\CommitPart;
use App\Stores\Do\Goods;
use App\Stores\Model\MoveKind;
use App\Stores\Model\Part;
use App\Stores\Model\PartBatch;
use App\Stores\Model\PartOrder;
use App\Stores\Show\ShowParts;
use App\Stores\Show\View\PartRoom;
use Illuminate\Http\JsonResponse;
use Jorvel\Core\Shared\Day;

/** One part number: its batches, what is ordered, what moved and where it went. */
final readonly class PartController
{
    public function __construct(private ShowParts $read) {}

    #[Api('part', PartRoom::class, 'One part number')]
    public function show(string $number, ViewRequest $request): JsonResponse
    {
        return new JsonResponse($this->read->one($number, $request->person()));
    }

    #[Api('enterPart', PartRoom::class, 'The part entered')]
    public function enter(PartRequest $request, CommitPart $commit): JsonResponse
    {
        $part = $commit->enter($request->person(), $request->string('number')->value(), $request->fields());

        return new JsonResponse($this->read->one($part->number, $request->person()));
    }

    #[Api('changePart', PartRoom::class, 'The part as it now stands')]
    public function change(string $number, PartRequest $request, CommitPart $commit): JsonResponse
    {
        $commit->change($request->person(), Part::where('number', $number)->firstOrFail(), $request->fields());

        return new JsonResponse($this->read->one($number, $request->person()));
    }

    #[Api('receiveGoods', PartRoom::class, 'The part with what came')]
    public function goods(string $number, GoodsRequest $request, Goods $goods): JsonResponse
    {
        $goods->receive(
            $request->person(),
            Part::where('number', $number)->firstOrFail(),
            trim($request->string('batch')->value()),
            $request->integer('quantity'),
            $request->filled('expires') ? Day::parse($request->string('expires')->value()) : null,
            $request->string('paper')->value(),
            $request->filled('order') ? PartOrder::findOrFail($request->integer('order')) : null,
        );

        return new JsonResponse($this->read->one($number, $request->person()));
    }

    #[Api('orderPart', PartRoom::class, 'The part with its order')]
    public function order(string $number, OrderRequest $request, CommitPart $commit): JsonResponse
    {
        $commit->order(
            $request->person(),
            Part::where('number', $number)->firstOrFail(),
            $request->integer('quantity'),
            Day::parse($request->string('expected')->value()),
        );

        return new JsonResponse($this->read->one($number, $request->person()));
    }

    #[Api('cancelOrder', PartRoom::class, 'The part without the order')]
    public function cancel(int $id, CommitPartsRequest $request, CommitPart $commit): JsonResponse
    {
        $order = PartOrder::findOrFail($id);
        $commit->cancel($request->person(), $order);

        return new JsonResponse($this->read->one(Part::findOrFail($order->part_id)->number, $request->person()));
    }

    #[Api('moveBatch', PartRoom::class, 'The part as it now stands')]
    public function move(int $id, MoveRequest $request, Goods $goods): JsonResponse
    {
        $batch = PartBatch::with('part')->findOrFail($id);
        $given = [$request->person(), $batch, $request->integer('quantity'), $request->string('why')->value()];
        if ($given[2] < 1 && $request->enum('do', MoveKind::class) !== MoveKind::Counted) {
            throw Refused::because('Enter how many pieces. Nothing was entered.');
        }
        match ($request->enum('do', MoveKind::class)) {
            MoveKind::Back => $goods->back(...$given),
            MoveKind::Scrapped => $goods->scrap(...$given),
            default => $goods->count(...$given),
        };

        return new JsonResponse($this->read->one($batch->part->number, $request->person()));
    }
}
