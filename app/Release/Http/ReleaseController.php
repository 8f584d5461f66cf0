<?php

declare(strict_types=1);

namespace App\Release\Http;

use App\Release\Do\ReleaseAircraft;
use App\Release\Model\Certificate;
use App\Release\Show\PrintPapers;
use App\Release\Show\ShowRelease;
use App\Release\Show\View\ReleasesView;
use App\Release\Show\View\ReleaseView;
use App\Shared\Http\ViewRequest;
use App\Visits\Model\Visit;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Response;
use OpenApi\Attributes as OA;

/** The room Release. */
final class ReleaseController
{
    #[OA\Get(path: '/api/release', operationId: 'releases', parameters: [new OA\QueryParameter(name: 'find', schema: new OA\Schema(type: 'string'))], responses: [new OA\Response(response: 200, description: 'Visits on their way out', content: new OA\JsonContent(ref: ReleasesView::class))])]
    public function index(ViewRequest $request, ShowRelease $read): JsonResponse
    {
        return new JsonResponse($read->all($request->person(), $request->string('find')->value()));
    }

    #[OA\Get(path: '/api/release/{id}', operationId: 'release', parameters: [new OA\PathParameter(name: 'id', schema: new OA\Schema(type: 'integer'))], responses: [new OA\Response(response: 200, description: 'What blocks a visit', content: new OA\JsonContent(ref: ReleaseView::class))])]
    public function show(int $id, ViewRequest $request, ShowRelease $read): JsonResponse
    {
        return new JsonResponse($read->one($id, $request->person()));
    }

    #[OA\Post(path: '/api/release/{id}', operationId: 'signRelease', parameters: [new OA\PathParameter(name: 'id', schema: new OA\Schema(type: 'integer'))], requestBody: new OA\RequestBody(required: true, content: new OA\JsonContent(required: ['stamp', 'pin'], properties: [new OA\Property(property: 'stamp', type: 'string'), new OA\Property(property: 'pin', type: 'string')])), responses: [new OA\Response(response: 200, description: 'Released', content: new OA\JsonContent(ref: ReleaseView::class))])]
    public function sign(int $id, ReleaseRequest $request, ReleaseAircraft $release, ShowRelease $read): JsonResponse
    {
        $release($request->person(), $id, $request->string('stamp')->value(), $request->string('pin')->value());

        return new JsonResponse($read->one($id, $request->person()));
    }

    /** The certificate as PDF. */
    public function certificate(int $id, PrintPapers $papers): Response
    {
        $certificate = Certificate::with('person')->where('visit_id', $id)->firstOrFail();

        return self::pdf($papers->certificate($certificate), "{$certificate->number}.pdf");
    }

    /** The card pack as PDF. */
    public function cards(int $id, PrintPapers $papers): Response
    {
        return self::pdf($papers->cards(Visit::findOrFail($id)), "cards-{$id}.pdf");
    }

    private static function pdf(string $contents, string $name): Response
    {
        return new Response(
            $contents,
            200,
            ['Content-Type' => 'application/pdf', 'Content-Disposition' => "inline; filename=\"{$name}\""],
        );
    }
}
