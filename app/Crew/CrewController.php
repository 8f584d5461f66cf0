<?php

declare(strict_types=1);

namespace App\Crew;

use App\Crew\View\CrewView;
use App\Crew\View\PersonView;
use App\Crew\View\QualificationView;
use App\Floor\Assignment;
use App\Floor\Card;
use App\Shared\Clock;
use App\Shared\Words;
use Illuminate\Http\JsonResponse;
use Jorvel\Core\Shared\Day;
use OpenApi\Attributes as OA;

/** The room Crew: who is there, and what they hold. */
final class CrewController
{
    #[OA\Get(path: '/api/crew', operationId: 'crew', responses: [new OA\Response(response: 200, description: 'People with what they hold', content: new OA\JsonContent(ref: CrewView::class))])]
    public function index(Clock $clock): JsonResponse
    {
        $today = $clock->today();
        $cards = Assignment::whereHas('card', static fn($q) => $q->where('state', '!=', Card::CLOSED))->selectRaw('person_id, count(*) as n')->groupBy('person_id')->pluck('n', 'person_id');
        $soon = 0;
        $people = Person::with('qualifications')->orderBy('shift')->orderBy('name')->get()->map(static function (Person $p) use ($today, $cards, &$soon): PersonView {
            $held = $p->qualifications->map(static function (Qualification $q) use ($today, &$soon): QualificationView {
                $days = $q->valid_until === null ? null : $today->daysUntil(Day::parse($q->valid_until));
                $state = match (true) {
                    $days === null, $days > 60 => 'clear',
                    $days < 0 => 'stop',
                    default => 'watch',
                };
                $soon += $state === 'clear' ? 0 : 1;

                return new QualificationView($q->kind, $q->value, $q->valid_until, $state, $days === null ? '' : ($days < 0 ? 'lapsed '.Words::fromNow($days) : 'lapses '.Words::fromNow($days)));
            });

            return new PersonView($p->id, $p->name, $p->stamp, $p->role->value, $p->base, $p->shift, array_values($held->all()), (int) ($cards[$p->id] ?? 0));
        });

        return new JsonResponse(new CrewView($soon === 0 ? 'Nothing lapses within 60 days.' : ($soon === 1 ? 'One qualification has lapsed or lapses within 60 days.' : "{$soon} qualifications have lapsed or lapse within 60 days."), $people->all()));
    }
}
