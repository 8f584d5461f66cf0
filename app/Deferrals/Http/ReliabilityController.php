<?php

declare(strict_types=1);

namespace App\Deferrals\Http;

use App\Deferrals\Show\ShowReliability;
use App\Deferrals\Show\View\EventView;
use App\Deferrals\Show\View\RateRow;
use App\Deferrals\Show\View\ReliabilityView;
use App\Shared\Csv;
use App\Shared\Http\Api;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Response;

/** How often things go wrong; every figure with the rows behind it. */
final class ReliabilityController
{
    #[Api('reliability', ReliabilityView::class, 'How often things go wrong')]
    public function index(ReliabilityRequest $request, ShowReliability $read): JsonResponse
    {
        return new JsonResponse($read->of($request->what(), $request->by(), $request->days()));
    }

    #[Api('reliabilityRows', [EventView::class], 'The rows behind a figure')]
    public function rows(ReliabilityRequest $request, ShowReliability $read): JsonResponse
    {
        return new JsonResponse($read->events(
            $request->what(),
            $request->by(),
            (string) $request->input('key', ''),
            $request->days(),
        ));
    }

    public function csv(ReliabilityRequest $request, ShowReliability $read): Response
    {
        $view = $read->of($request->what(), $request->by(), $request->days());
        $text = Csv::write(
            [$view->by, $view->what, 'hours', 'per_1000_h', 'low', 'high', 'expected', 'chance_of_as_many', 'alert',
                'repeats'],
            array_map(static fn(RateRow $r): array => [
                $r->label, $r->events, $r->hours, $r->rate, $r->low, $r->high, $r->expected, $r->more,
                $r->alert ? 'yes' : 'no', $r->repeats,
            ], $view->rows),
        );

        return new Response($text, 200, [
            'Content-Type' => 'text/csv; charset=utf-8',
            'Content-Disposition' => "attachment; filename=\"{$view->what}-by-{$view->by}-{$view->days}-days.csv\"",
        ]);
    }
}
