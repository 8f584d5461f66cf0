<?php

declare(strict_types=1);

namespace App\Floor\Http;

use App\Floor\Do\Exceedances;
use App\Floor\Do\RecorderFile;
use App\Floor\Show\ShowExceedances;
use App\Floor\Show\View\ExceedancesView;
use App\Floor\Show\View\RecorderPreview;
use App\Shared\Clock;
use App\Shared\Http\Api;
use App\Shared\Http\ViewRequest;
use Illuminate\Http\JsonResponse;

/** Limits that were exceeded. */
final class ExceedanceController
{
    #[Api('exceedances', ExceedancesView::class, 'Limits that were exceeded')]
    public function index(ViewRequest $request, ShowExceedances $read): JsonResponse
    {
        return new JsonResponse($read->all($request->person()));
    }

    #[Api('previewExceedance', RecorderPreview::class, 'What it would be recorded as; nothing is saved')]
    public function preview(ExceedanceRequest $request, ShowExceedances $read, Clock $clock): JsonResponse
    {
        $aircraft = $request->aircraft();

        return new JsonResponse($read->preview($aircraft, $request->exceedance($aircraft, $clock)));
    }

    #[Api('enterExceedance', ExceedancesView::class, 'The list with it', 201)]
    public function enter(
        ExceedanceRequest $request,
        Exceedances $exceedances,
        ShowExceedances $read,
        Clock $clock,
    ): JsonResponse {
        $aircraft = $request->aircraft();
        $exceedances->record($request->person(), $aircraft, $request->exceedance($aircraft, $clock));

        return new JsonResponse($read->all($request->person()), 201);
    }

    #[Api('lookAtRecorder', RecorderPreview::class, 'What the file would record; nothing is saved')]
    public function look(RecorderRequest $request, Exceedances $exceedances, ShowExceedances $read): JsonResponse
    {
        return new JsonResponse($read->file(RecorderFile::read((string) $request->input('text'), $exceedances)));
    }

    #[Api('recordRecorder', ExceedancesView::class, 'The list with what it recorded', 201)]
    public function record(RecorderRequest $request, Exceedances $exceedances, ShowExceedances $read): JsonResponse
    {
        $file = RecorderFile::read((string) $request->input('text'), $exceedances);
        $exceedances->recordAll($request->person(), $file);

        return new JsonResponse($read->all($request->person()), 201);
    }

    #[Api('mistakenExceedance', ExceedancesView::class, 'The list with it marked as none')]
    public function mistake(
        int $id,
        MistakeRequest $request,
        Exceedances $exceedances,
        ShowExceedances $read,
    ): JsonResponse {
        $exceedances->mistake($request->person(), $id, trim($request->string('why')->value()));

        return new JsonResponse($read->all($request->person()));
    }
}
