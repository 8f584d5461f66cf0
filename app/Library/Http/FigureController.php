<?php

declare(strict_types=1);

namespace App\Library\Http;

use App\Fleet\Model\AircraftType;
use App\Library\Do\Figures;
use App\Library\Model\Figure;
use App\Library\Show\View\FigureView;
use App\Shared\Http\Api;
use App\Shared\Http\ViewRequest;
use Illuminate\Http\JsonResponse;

/** Drawings of one's own, for the steps of cards. */
final class FigureController
{
    #[Api('figures', [FigureView::class], 'The latest of each figure of a type')]
    public function index(string $type, ViewRequest $request): JsonResponse
    {
        return self::all(self::type($type));
    }

    #[Api('saveFigure', [FigureView::class], 'The figures with it', 201)]
    public function save(string $type, FigureRequest $request, Figures $figures): JsonResponse
    {
        $of = self::type($type);
        $figures->save(
            $request->person(),
            $of,
            $request->string('code')->value(),
            trim($request->string('title')->value()),
            $request->bytes(),
        );

        return self::all($of, 201);
    }

    private static function type(string $code): AircraftType
    {
        return AircraftType::where('code', $code)->firstOrFail();
    }

    private static function all(AircraftType $type, int $status = 200): JsonResponse
    {
        $latest = Figure::where('type_id', $type->id)->orderBy('code')->orderBy('version')->get()->keyBy('code');

        return new JsonResponse(array_values($latest->map(
            static fn(Figure $f): FigureView => FigureView::of($f, $type->code),
        )->all()), $status);
    }
}
