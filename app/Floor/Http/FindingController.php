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
use App\Shared\Http\Api;
use App\Shared\Http\ViewRequest;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\UploadedFile;
use Symfony\Component\HttpFoundation\BinaryFileResponse;

/** Findings: raised on a card, looked at with their history, shown in photos. */
final class FindingController
{
    #[Api('finding', FindingDetail::class, 'One finding with its history')]
    public function show(int $id, ViewRequest $request, ShowFinding $read): JsonResponse
    {
        return new JsonResponse($read->one(Finding::findOrFail($id), $request->person()));
    }

    #[Api('raiseFinding', CardView::class, 'The card with its finding')]
    public function raise(int $id, RaiseRequest $request, RaiseFinding $raise, ShowCard $read): JsonResponse
    {
        $card = Card::with(
            ['assignments', 'aircraft.type', 'template.manual', 'item', 'finding', 'steps'],
        )->findOrFail($id);
        $raise->raise($request->person(), $card, $request->finding());

        return new JsonResponse($read->card($id, $request->person()));
    }

    #[Api('markFinding', FindingDetail::class, 'The finding, marked')]
    public function mark(int $id, SpotRequest $request, RaiseFinding $raise, ShowFinding $read): JsonResponse
    {
        $finding = Finding::findOrFail($id);
        $raise->mark($request->person(), $finding, $request->spot());

        return new JsonResponse($read->one($finding, $request->person()));
    }

    #[Api('savePhoto', FindingDetail::class, 'The finding with its photo')]
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
