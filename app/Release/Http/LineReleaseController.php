<?php

declare(strict_types=1);

namespace App\Release\Http;

use App\Release\Do\SignLine;
use App\Release\Show\PrintLog;
use App\Release\Show\ShowLineSign;
use App\Release\Show\View\LineSignView;
use App\Shared\Http\Api;
use App\Shared\Http\Pdf;
use App\Shared\Http\ViewRequest;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Response;

/** Checks on the line, signed good until the end of a day. */
final class LineReleaseController
{
    #[Api('lineSign', LineSignView::class, 'What keeps a check from being signed')]
    public function show(int $id, ViewRequest $request, ShowLineSign $read): JsonResponse
    {
        return new JsonResponse($read->one($id, $request->person()));
    }

    /** A check as the aircraft's log wants it, as PDF. */
    public function log(int $id, ShowLineSign $read, PrintLog $print): Response
    {
        return Pdf::of($print->of($read->check($id)), "log-{$id}.pdf");
    }

    #[Api('signLine', LineSignView::class, 'Signed')]
    public function sign(int $id, LineSignRequest $request, SignLine $sign, ShowLineSign $read): JsonResponse
    {
        $sign($request->person(), $id, $request->string('stamp')->value(), $request->string('pin')->value());

        return new JsonResponse($read->one($id, $request->person()));
    }
}
