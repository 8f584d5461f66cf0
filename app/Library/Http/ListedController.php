<?php

declare(strict_types=1);

namespace App\Library\Http;

use App\Fleet\Model\AircraftType;
use App\Library\Do\ListedFile;
use App\Library\Show\ShowListed;
use App\Library\Show\View\ListedRoom;
use App\Shared\Http\Api;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Response;

/** What may be carried, by type; changed by way of a file, or of one edited item, like a programme. */
final class ListedController
{
    #[Api('listed', ListedRoom::class, 'What may be carried on a type')]
    public function show(string $type, ShowListed $read): JsonResponse
    {
        return new JsonResponse($read->of($type));
    }

    /** The list in force as a file, that can be brought in again as the next revision. */
    public function file(string $type, string $form): Response
    {
        $of = AircraftType::where('code', $type)->firstOrFail();

        return new Response($form === 'csv' ? ListedFile::csv($of) : ListedFile::json($of), 200, [
            'Content-Type' => $form === 'csv' ? 'text/csv; charset=utf-8' : 'application/json',
            'Content-Disposition' => "attachment; filename=\"listed-{$of->code}.{$form}\"",
        ]);
    }
}
