<?php

declare(strict_types=1);

namespace App\Deferrals\Http;

use App\Deferrals\Do\HandSwap;
use App\Deferrals\Show\PrintCrewSheet;
use App\Deferrals\Show\ShowSectors;
use App\Deferrals\Show\ShowSwap;
use App\Deferrals\Show\View\SectorsView;
use App\Deferrals\Show\View\SwapView;
use App\Fleet\Model\Aircraft;
use App\Now\LoadFlying;
use App\Shared\Http\Api;
use App\Shared\Http\Pdf;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Response;

/** The coming flights beside what is carried, and who could fly them. */
final class SectorController
{
    private const DAYS = 3;

    #[Api('sectors', SectorsView::class, 'The coming flights, each with its verdict')]
    public function index(SectorsRequest $request, ShowSectors $read): JsonResponse
    {
        return new JsonResponse($read->all($request->integer('days', self::DAYS), $request->person()));
    }

    #[Api('previewSwap', SwapView::class, 'Who could fly the lines of a day; nothing is sent')]
    public function preview(SwapRequest $request, ShowSwap $read): JsonResponse
    {
        return new JsonResponse($read->of(self::aircraft($request), $request->day()));
    }

    #[Api('sendSwap', SectorsView::class, 'The coming flights, with what the flying programme answered')]
    public function send(SwapRequest $request, HandSwap $hand, ShowSectors $read): JsonResponse
    {
        /** @var list<array{from: string, to: string, flights: string}> $moves */
        $moves = $request->input('moves', []);
        $hand($request->person(), self::aircraft($request), $request->day(), $moves);

        return new JsonResponse($read->all(self::DAYS, $request->person()));
    }

    /** What the crew has to know: what is carried, what is restricted, what they do. */
    public function sheet(string $mark, PrintCrewSheet $print): Response
    {
        $aircraft = Aircraft::with([...LoadFlying::with(), ...ShowSectors::with()])->where('mark', $mark)
            ->firstOrFail();

        return Pdf::of($print->of($aircraft), "crew-sheet-{$mark}.pdf");
    }

    private static function aircraft(SwapRequest $request): Aircraft
    {
        return Aircraft::with('type')->where('mark', $request->string('mark')->value())->firstOrFail();
    }
}
