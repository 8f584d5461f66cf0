<?php

declare(strict_types=1);

namespace App\Shared;

use App\Floor\Model\Card;
use App\Floor\Model\Finding;
use App\Shared\View\Moment;
use App\Visits\Model\Visit;
use DateTimeImmutable;
use Illuminate\Http\JsonResponse;
use Illuminate\Support\Facades\DB;
use OpenApi\Attributes as OA;

/** The line across the top: the clock, the shift, and how much waits in each room. */
final class MomentController
{
    #[OA\Get(path: '/api/moment', operationId: 'moment', responses: [new OA\Response(response: 200, description: 'Clock, shift and counts', content: new OA\JsonContent(ref: Moment::class))])]
    public function show(Clock $clock): JsonResponse
    {
        $now = $clock->now();
        $local = (new DateTimeImmutable('@'.$now->epoch()))->setTimezone($clock->zone());
        $open = DB::table('visits')->where('state', '!=', Visit::RELEASED)->count();
        $waiting = [
            'fleet' => DB::table('aircraft')->count(),
            'visits' => $open,
            'floor' => DB::table('cards')->join('visits', 'visits.id', '=', 'cards.visit_id')->where('visits.state', '!=', Visit::RELEASED)->where('cards.state', '!=', Card::CLOSED)->count(),
            'deferrals' => DB::table('deferrals')->where('state', 'open')->count() + Finding::where('state', 'open')->whereDoesntHave('fixCard')->count(),
            'release' => $open,
        ];

        return new JsonResponse(new Moment((string) $now, $clock->zone()->getName(), (string) config('jorvel.base'), (int) $local->format('G') >= 6 && (int) $local->format('G') < 14 ? 'early shift' : 'late shift', (object) $waiting));
    }
}
