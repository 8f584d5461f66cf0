<?php

declare(strict_types=1);

namespace App\Stores;

use App\Floor\Reading;
use App\Shared\Clock;
use App\Shared\Words;
use App\Stores\View\StoresView;
use App\Stores\View\StoreTool;
use Illuminate\Http\JsonResponse;
use Jorvel\Core\Shared\Day;
use Jorvel\Core\Shared\Unit;
use OpenApi\Attributes as OA;

/** The room Stores: tools and their calibration. */
final class StoresController
{
    #[OA\Get(path: '/api/stores', operationId: 'stores', responses: [new OA\Response(response: 200, description: 'Tools, those not usable first', content: new OA\JsonContent(ref: StoresView::class))])]
    public function index(Clock $clock): JsonResponse
    {
        $today = $clock->today();
        $readings = Reading::selectRaw('tool_id, count(*) as n')->groupBy('tool_id')->pluck('n', 'tool_id');
        $tools = Tool::orderBy('code')->get()->map(static function (Tool $t) use ($today, $readings): StoreTool {
            $why = $t->unusable($today);
            $days = $today->daysUntil(Day::parse($t->cal_due));
            $unit = Unit::parse($t->unit)->label();

            return new StoreTool(
                $t->code,
                $t->title,
                $t->kind,
                Words::number($t->low, 3).' to '.Words::number($t->high, 3)." {$unit}, reads to ".Words::number($t->resolution, 3),
                $t->cal_due,
                $why !== null ? 'stop' : ($days <= 14 ? 'watch' : 'clear'),
                $why ?? 'calibration runs out '.Words::fromNow($days),
                $t->place,
                (int) ($readings[$t->id] ?? 0),
            );
        })->sortBy(static fn(StoreTool $t): array => [['stop' => 0, 'watch' => 1, 'clear' => 2][$t->state], $t->code])->values();
        $out = $tools->where('state', 'stop')->count();

        return new JsonResponse(new StoresView(
            $tools->isEmpty() ? 'No tool yet.' : ($out === 0 ? 'Every tool may be used.' : "{$out} of {$tools->count()} tools must not be used today."),
            $tools->all(),
        ));
    }
}
