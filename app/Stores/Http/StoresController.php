<?php

declare(strict_types=1);

namespace App\Stores\Http;

use App\Shared\Http\Api;
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
use Jorvel\Core\Shared\Day;

/** The room Stores: tools and their calibration, parts, what is out. */
final class StoresController
{
    #[Api('stores', StoresView::class, 'Tools and parts, those not usable first')]
    public function index(ViewRequest $request, ShowStores $read): JsonResponse
    {
        return new JsonResponse($read->all($request->person()));
    }

    #[Api('tool', ToolRoom::class, 'One tool, and what rests on it when it is recalled')]
    public function tool(string $code, ViewRequest $request, ShowStores $read): JsonResponse
    {
        return new JsonResponse($read->one($code, $request->person()));
    }

    #[Api('checkTool', ToolRoom::class, 'The tool, checked or recalled')]
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

    #[Api('enterTool', ToolRoom::class, 'The tool entered')]
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

    #[Api('moveTool', ToolRoom::class, 'The tool, away or out of use')]
    public function state(string $code, ToolStateRequest $request, CommitTool $commit, ShowStores $read): JsonResponse
    {
        $tool = Tool::where('code', $code)->firstOrFail();
        $request->string('do')->value() === 'away'
            ? $commit->sendAway($request->person(), $tool, $request->string('why')->value())
            : $commit->takeOut($request->person(), $tool, $request->string('why')->value());

        return new JsonResponse($read->one($code, $request->person()));
    }

    #[Api('openRechecks', ToolRoom::class, 'The tool with its re-checks open')]
    public function recheck(int $id, RechecksRequest $request, OpenRechecks $open, ShowStores $read): JsonResponse
    {
        $recall = ToolRecall::with('tool')->findOrFail($id);
        $open($request->person(), $recall, $request->places());

        return new JsonResponse($read->one($recall->tool->code, $request->person()));
    }

    #[Api('countIn', StoresView::class, 'The room with it back')]
    public function countIn(int $id, CountInRequest $request, ToolDesk $desk, ShowStores $read): JsonResponse
    {
        $desk->in($request->person(), ToolLoan::findOrFail($id), $request->integer('counted'));

        return new JsonResponse($read->all($request->person()));
    }
}
