<?php

declare(strict_types=1);

namespace App\Stores\Http;

use App\Shared\Http\ViewRequest;
use App\Shared\Refused;
use App\Stores\Do\CommitPart;
use App\Stores\Do\Goods;
use App\Stores\Model\Part;
use App\Stores\Model\PartBatch;
use App\Stores\Model\PartMove;
use App\Stores\Model\PartOrder;
use App\Stores\Show\ShowParts;
use App\Stores\Show\View\PartRoom;
use Illuminate\Http\JsonResponse;
use Jorvel\Core\Shared\Day;
use OpenApi\Attributes as OA;

/** One part number: its batches, what is ordered, what moved and where it went. */
final readonly class PartController
{
    public function __construct(private ShowParts $read) {}

    #[OA\Get(path: '/api/parts/{number}', operationId: 'part', parameters: [new OA\PathParameter(name: 'number', schema: new OA\Schema(type: 'string'))], responses: [new OA\Response(response: 200, description: 'One part number', content: new OA\JsonContent(ref: PartRoom::class))])]
    public function show(string $number, ViewRequest $request): JsonResponse
    {
        return new JsonResponse($this->read->one($number, $request->person()));
    }

    #[OA\Post(path: '/api/parts', operationId: 'enterPart', requestBody: new OA\RequestBody(required: true, content: new OA\JsonContent(required: ['number', 'title', 'place', 'one_time'], properties: [new OA\Property(property: 'number', type: 'string'), new OA\Property(property: 'title', type: 'string'), new OA\Property(property: 'place', type: 'string'), new OA\Property(property: 'one_time', type: 'boolean'), new OA\Property(property: 'effectivity', description: 'codes of the tails it fits; none where it fits every tail', type: 'array', items: new OA\Items(type: 'string'), nullable: true)])), responses: [new OA\Response(response: 200, description: 'The part entered', content: new OA\JsonContent(ref: PartRoom::class))])]
    public function enter(PartRequest $request, CommitPart $commit): JsonResponse
    {
        $part = $commit->enter($request->person(), $request->string('number')->value(), $request->fields());

        return new JsonResponse($this->read->one($part->number, $request->person()));
    }

    #[OA\Post(path: '/api/parts/{number}', operationId: 'changePart', parameters: [new OA\PathParameter(name: 'number', schema: new OA\Schema(type: 'string'))], requestBody: new OA\RequestBody(required: true, content: new OA\JsonContent(required: ['title', 'place', 'one_time'], properties: [new OA\Property(property: 'title', type: 'string'), new OA\Property(property: 'place', type: 'string'), new OA\Property(property: 'one_time', type: 'boolean'), new OA\Property(property: 'effectivity', type: 'array', items: new OA\Items(type: 'string'), nullable: true)])), responses: [new OA\Response(response: 200, description: 'The part as it now stands', content: new OA\JsonContent(ref: PartRoom::class))])]
    public function change(string $number, PartRequest $request, CommitPart $commit): JsonResponse
    {
        $commit->change($request->person(), Part::where('number', $number)->firstOrFail(), $request->fields());

        return new JsonResponse($this->read->one($number, $request->person()));
    }

    #[OA\Post(path: '/api/parts/{number}/goods', operationId: 'receiveGoods', parameters: [new OA\PathParameter(name: 'number', schema: new OA\Schema(type: 'string'))], requestBody: new OA\RequestBody(required: true, content: new OA\JsonContent(required: ['batch', 'quantity', 'paper'], properties: [new OA\Property(property: 'batch', type: 'string'), new OA\Property(property: 'quantity', type: 'integer'), new OA\Property(property: 'expires', description: 'last day of the shelf life', type: 'string', nullable: true), new OA\Property(property: 'paper', type: 'string'), new OA\Property(property: 'order', type: 'integer', nullable: true)])), responses: [new OA\Response(response: 200, description: 'The part with what came', content: new OA\JsonContent(ref: PartRoom::class))])]
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

    #[OA\Post(path: '/api/parts/{number}/orders', operationId: 'orderPart', parameters: [new OA\PathParameter(name: 'number', schema: new OA\Schema(type: 'string'))], requestBody: new OA\RequestBody(required: true, content: new OA\JsonContent(required: ['quantity', 'expected'], properties: [new OA\Property(property: 'quantity', type: 'integer'), new OA\Property(property: 'expected', type: 'string')])), responses: [new OA\Response(response: 200, description: 'The part with its order', content: new OA\JsonContent(ref: PartRoom::class))])]
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

    #[OA\Post(path: '/api/part-orders/{id}/cancel', operationId: 'cancelOrder', parameters: [new OA\PathParameter(name: 'id', schema: new OA\Schema(type: 'integer'))], responses: [new OA\Response(response: 200, description: 'The part without the order', content: new OA\JsonContent(ref: PartRoom::class))])]
    public function cancel(int $id, CommitPartsRequest $request, CommitPart $commit): JsonResponse
    {
        $order = PartOrder::findOrFail($id);
        $commit->cancel($request->person(), $order);

        return new JsonResponse($this->read->one(Part::findOrFail($order->part_id)->number, $request->person()));
    }

    #[OA\Post(path: '/api/part-batches/{id}/moves', operationId: 'moveBatch', parameters: [new OA\PathParameter(name: 'id', schema: new OA\Schema(type: 'integer'))], requestBody: new OA\RequestBody(required: true, content: new OA\JsonContent(required: ['do', 'quantity', 'why'], properties: [new OA\Property(property: 'do', type: 'string', enum: ['back', 'scrapped', 'counted']), new OA\Property(property: 'quantity', type: 'integer'), new OA\Property(property: 'why', type: 'string')])), responses: [new OA\Response(response: 200, description: 'The part as it now stands', content: new OA\JsonContent(ref: PartRoom::class))])]
    public function move(int $id, MoveRequest $request, Goods $goods): JsonResponse
    {
        $batch = PartBatch::with('part')->findOrFail($id);
        $given = [$request->person(), $batch, $request->integer('quantity'), $request->string('why')->value()];
        if ($given[2] < 1 && $request->string('do')->value() !== PartMove::COUNTED) {
            throw Refused::because('Enter how many pieces. Nothing was entered.');
        }
        match ($request->string('do')->value()) {
            PartMove::BACK => $goods->back(...$given),
            PartMove::SCRAPPED => $goods->scrap(...$given),
            default => $goods->count(...$given),
        };

        return new JsonResponse($this->read->one($batch->part->number, $request->person()));
    }
}
