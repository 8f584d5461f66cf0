<?php

declare(strict_types=1);

namespace App\Stores\Http;

use App\Shared\Http\ViewRequest;
use App\Stores\Do\CheckTool;
use App\Stores\Do\CommitTool;
use App\Stores\Do\OpenRechecks;
use App\Stores\Do\ToolDesk;
use App\Stores\Model\Tool;
use App\Stores\Model\ToolLoan;
use App\Stores\Model\ToolRecall;
use App\Stores\Show\ShowStores;
use App\Stores\Show\View\StoresView;
use App\Stores\Show\View\ToolRoom;
use Illuminate\Http\JsonResponse;
use Illuminate\Support\Facades\Gate;
use Jorvel\Core\Shared\Day;
use OpenApi\Attributes as OA;

/** The room Stores: tools and their calibration, parts, what is out. */
final class StoresController
{
    #[OA\Get(path: '/api/stores', operationId: 'stores', responses: [new OA\Response(response: 200, description: 'Tools and parts, those not usable first', content: new OA\JsonContent(ref: StoresView::class))])]
    public function index(ViewRequest $request, ShowStores $read): JsonResponse
    {
        return new JsonResponse($read->all($request->person()));
    }

    #[OA\Get(path: '/api/tools/{code}', operationId: 'tool', parameters: [new OA\PathParameter(name: 'code', schema: new OA\Schema(type: 'string'))], responses: [new OA\Response(response: 200, description: 'One tool, and what rests on it when it is recalled', content: new OA\JsonContent(ref: ToolRoom::class))])]
    public function tool(string $code, ViewRequest $request, ShowStores $read): JsonResponse
    {
        return new JsonResponse($read->one($code, $request->person()));
    }

    #[OA\Post(path: '/api/tools/{code}/checks', operationId: 'checkTool', parameters: [new OA\PathParameter(name: 'code', schema: new OA\Schema(type: 'string'))], requestBody: new OA\RequestBody(required: true, content: new OA\JsonContent(required: ['date', 'good', 'note'], properties: [new OA\Property(property: 'date', type: 'string'), new OA\Property(property: 'good', type: 'boolean'), new OA\Property(property: 'note', type: 'string'), new OA\Property(property: 'cal_due', type: 'string')])), responses: [new OA\Response(response: 200, description: 'The tool, checked or recalled', content: new OA\JsonContent(ref: ToolRoom::class))])]
    public function check(string $code, CheckToolRequest $request, CheckTool $check, ShowStores $read): JsonResponse
    {
        $check(
            $request->person(),
            Tool::where('code', $code)->firstOrFail(),
            Day::parse($request->string('date')->value()),
            $request->boolean('good'),
            $request->string('note')->value(),
            $request->filled('cal_due') ? Day::parse($request->string('cal_due')->value()) : null,
        );

        return new JsonResponse($read->one($code, $request->person()));
    }

    #[OA\Post(path: '/api/tools', operationId: 'enterTool', requestBody: new OA\RequestBody(required: true, content: new OA\JsonContent(required: ['code', 'title', 'kind', 'unit', 'resolution', 'uncertainty', 'low', 'high', 'place', 'checked', 'cal_due', 'paper'], properties: [new OA\Property(property: 'code', type: 'string'), new OA\Property(property: 'title', type: 'string'), new OA\Property(property: 'kind', type: 'string'), new OA\Property(property: 'unit', type: 'string'), new OA\Property(property: 'resolution', type: 'number'), new OA\Property(property: 'uncertainty', type: 'number'), new OA\Property(property: 'low', type: 'number'), new OA\Property(property: 'high', type: 'number'), new OA\Property(property: 'place', type: 'string'), new OA\Property(property: 'checked', type: 'string'), new OA\Property(property: 'cal_due', type: 'string'), new OA\Property(property: 'paper', type: 'string')])), responses: [new OA\Response(response: 200, description: 'The tool entered', content: new OA\JsonContent(ref: ToolRoom::class))])]
    public function enter(ToolRequest $request, CommitTool $commit, ShowStores $read): JsonResponse
    {
        $tool = $commit->enter(
            $request->person(),
            $request->fields(),
            Day::parse($request->string('checked')->value()),
            Day::parse($request->string('cal_due')->value()),
            $request->string('paper')->value(),
        );

        return new JsonResponse($read->one($tool->code, $request->person()));
    }

    #[OA\Post(path: '/api/tools/{code}/state', operationId: 'moveTool', parameters: [new OA\PathParameter(name: 'code', schema: new OA\Schema(type: 'string'))], requestBody: new OA\RequestBody(required: true, content: new OA\JsonContent(required: ['do', 'why'], properties: [new OA\Property(property: 'do', type: 'string', enum: ['away', 'gone']), new OA\Property(property: 'why', type: 'string')])), responses: [new OA\Response(response: 200, description: 'The tool, away or out of use', content: new OA\JsonContent(ref: ToolRoom::class))])]
    public function state(string $code, ToolStateRequest $request, CommitTool $commit, ShowStores $read): JsonResponse
    {
        $tool = Tool::where('code', $code)->firstOrFail();
        $request->string('do')->value() === 'away'
            ? $commit->sendAway($request->person(), $tool, $request->string('why')->value())
            : $commit->takeOut($request->person(), $tool, $request->string('why')->value());

        return new JsonResponse($read->one($code, $request->person()));
    }

    #[OA\Post(path: '/api/recalls/{id}/rechecks', operationId: 'openRechecks', parameters: [new OA\PathParameter(name: 'id', schema: new OA\Schema(type: 'integer'))], responses: [new OA\Response(response: 200, description: 'The tool with its re-checks open', content: new OA\JsonContent(ref: ToolRoom::class))])]
    public function recheck(int $id, ViewRequest $request, OpenRechecks $open, ShowStores $read): JsonResponse
    {
        Gate::authorize('edit', Tool::class);
        $recall = ToolRecall::with('tool')->findOrFail($id);
        $open($request->person(), $recall);

        return new JsonResponse($read->one($recall->tool->code, $request->person()));
    }

    #[OA\Post(path: '/api/loans/{id}/in', operationId: 'countIn', parameters: [new OA\PathParameter(name: 'id', schema: new OA\Schema(type: 'integer'))], requestBody: new OA\RequestBody(required: true, content: new OA\JsonContent(required: ['counted'], properties: [new OA\Property(property: 'counted', type: 'integer')])), responses: [new OA\Response(response: 200, description: 'The room with it back', content: new OA\JsonContent(ref: StoresView::class))])]
    public function countIn(int $id, CountInRequest $request, ToolDesk $desk, ShowStores $read): JsonResponse
    {
        $desk->in($request->person(), ToolLoan::findOrFail($id), $request->integer('counted'));

        return new JsonResponse($read->all($request->person()));
    }
}
