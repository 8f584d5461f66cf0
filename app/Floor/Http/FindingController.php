<?php

declare(strict_types=1);

namespace App\Floor\Http;

use App\Floor\Do\CommitPhoto;
use App\Floor\Do\RaiseFinding;
use App\Floor\Model\Card;
use App\Floor\Model\Finding;
use App\Floor\Model\Photo;
use App\Floor\Show\ShowCard;
use App\Floor\Show\ShowFinding;
use App\Floor\Show\View\CardView;
use App\Floor\Show\View\FindingDetail;
use App\Shared\Http\ViewRequest;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\UploadedFile;
use OpenApi\Attributes as OA;
use Symfony\Component\HttpFoundation\BinaryFileResponse;

/** Findings: raised on a card, looked at with their history, shown in photos. */
final class FindingController
{
    #[OA\Get(path: '/api/findings/{id}', operationId: 'finding', parameters: [new OA\PathParameter(name: 'id', schema: new OA\Schema(type: 'integer'))], responses: [new OA\Response(response: 200, description: 'One finding with its history', content: new OA\JsonContent(ref: FindingDetail::class))])]
    public function show(int $id, ViewRequest $request, ShowFinding $read): JsonResponse
    {
        return new JsonResponse($read->one(Finding::findOrFail($id), $request->person()));
    }

    #[OA\Post(path: '/api/cards/{id}/findings', operationId: 'raiseFinding', parameters: [new OA\PathParameter(name: 'id', schema: new OA\Schema(type: 'integer'))], requestBody: new OA\RequestBody(required: true, content: new OA\JsonContent(required: ['place', 'extent'], properties: [
        new OA\Property(property: 'place', type: 'string'), new OA\Property(property: 'extent', type: 'string'),
        new OA\Property(property: 'severity', type: 'string', enum: ['minor', 'major', 'critical']),
        new OA\Property(property: 'chapter', type: 'string'), new OA\Property(property: 'step', type: 'integer'),
        new OA\Property(
            property: 'spot',
            type: 'object',
            required: ['view', 'x', 'y'],
            properties: [
                new OA\Property(property: 'view', type: 'string', enum: ['side', 'top', 'front']),
                new OA\Property(property: 'x', type: 'number'), new OA\Property(property: 'y', type: 'number'),
            ],
        ),
        new OA\Property(
            property: 'sketch',
            type: 'array',
            items: new OA\Items(type: 'array', items: new OA\Items(type: 'array', items: new OA\Items(type: 'number'))),
        ),
    ])), responses: [new OA\Response(response: 200, description: 'The card with its finding', content: new OA\JsonContent(ref: CardView::class))])]
    public function raise(int $id, RaiseRequest $request, RaiseFinding $raise, ShowCard $read): JsonResponse
    {
        $card = Card::with(
            ['assignments', 'aircraft.type', 'template.manual', 'item', 'finding', 'steps'],
        )->findOrFail($id);
        $raise->raise($request->person(), $card, $request->finding());

        return new JsonResponse($read->card($id, $request->person()));
    }

    #[OA\Post(path: '/api/findings/{id}/spot', operationId: 'markFinding', parameters: [new OA\PathParameter(name: 'id', schema: new OA\Schema(type: 'integer'))], requestBody: new OA\RequestBody(required: true, content: new OA\JsonContent(required: ['view', 'x', 'y'], properties: [new OA\Property(property: 'view', type: 'string', enum: ['side', 'top', 'front']), new OA\Property(property: 'x', type: 'number'), new OA\Property(property: 'y', type: 'number')])), responses: [new OA\Response(response: 200, description: 'The finding, marked', content: new OA\JsonContent(ref: FindingDetail::class))])]
    public function mark(int $id, SpotRequest $request, RaiseFinding $raise, ShowFinding $read): JsonResponse
    {
        $finding = Finding::findOrFail($id);
        $raise->mark($request->person(), $finding, $request->spot());

        return new JsonResponse($read->one($finding, $request->person()));
    }

    #[OA\Post(path: '/api/findings/{id}/photos', operationId: 'savePhoto', parameters: [new OA\PathParameter(name: 'id', schema: new OA\Schema(type: 'integer'))], requestBody: new OA\RequestBody(required: true, content: new OA\MediaType(mediaType: 'multipart/form-data', schema: new OA\Schema(required: ['photo'], properties: [new OA\Property(property: 'photo', type: 'string', format: 'binary')]))), responses: [new OA\Response(response: 200, description: 'The finding with its photo', content: new OA\JsonContent(ref: FindingDetail::class))])]
    public function photo(int $id, PhotoRequest $request, CommitPhoto $commit, ShowFinding $read): JsonResponse
    {
        $finding = Finding::findOrFail($id);
        $file = $request->file('photo');
        assert($file instanceof UploadedFile);
        $commit($request->person(), $finding, $file->getContent());

        return new JsonResponse($read->one($finding, $request->person()));
    }

    public function picture(int $id): BinaryFileResponse
    {
        $photo = Photo::findOrFail($id);

        return new BinaryFileResponse(
            CommitPhoto::folder()."/{$photo->file}",
            200,
            ['Content-Type' => $photo->mime, 'Content-Disposition' => 'inline'],
        );
    }
}
