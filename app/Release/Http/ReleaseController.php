<?php

declare(strict_types=1);

namespace App\Release\Http;

use App\Release\Do\ReleaseAircraft;
use App\Release\Model\Certificate;
use App\Release\Show\PrintPapers;
use App\Release\Show\ShowRelease;
use App\Release\Show\View\ReleasesView;
use App\Release\Show\View\ReleaseView;
use App\Shared\Http\Api;
use App\Shared\Http\Pdf;
use App\Shared\Http\ViewRequest;
use App\Visits\Model\Visit;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Response;

/** The room Release. */
final class ReleaseController
{
    #[Api('releases', ReleasesView::class, 'Visits on their way out')]
    public function index(FindRequest $request, ShowRelease $read): JsonResponse
    {
        return new JsonResponse($read->all($request->person(), $request->string('find')->value()));
    }

    #[Api('release', ReleaseView::class, 'What blocks a visit')]
    public function show(int $id, ViewRequest $request, ShowRelease $read): JsonResponse
    {
        return new JsonResponse($read->one($id, $request->person()));
    }

    #[Api('signRelease', ReleaseView::class, 'Released')]
    public function sign(int $id, ReleaseRequest $request, ReleaseAircraft $release, ShowRelease $read): JsonResponse
    {
        $release($request->person(), $id, $request->string('stamp')->value(), $request->string('pin')->value());

        return new JsonResponse($read->one($id, $request->person()));
    }

    /** The certificate as PDF. */
    public function certificate(int $id, PrintPapers $papers): Response
    {
        $certificate = Certificate::with('person')->where('visit_id', $id)->firstOrFail();

        return Pdf::of($papers->certificate($certificate), "{$certificate->number}.pdf");
    }

    /** The card pack as PDF: every card of the visit, or those that are asked for, `?cards=12,14`. */
    public function cards(int $id, ViewRequest $request, PrintPapers $papers): Response
    {
        $asked = $request->string('cards')->value();
        $only = $asked === '' ? [] : array_map(intval(...), explode(',', $asked));

        $visit = Visit::everywhere()->findOrFail($id);

        return Pdf::of($papers->cards($visit, $only), "cards-{$id}.pdf");
    }
}
