<?php

declare(strict_types=1);

namespace App\Crew\Http;

use App\Crew\Do\CommitCrew;
use App\Crew\Do\SetDays;
use App\Crew\Model\Person;
use App\Crew\Show\ShowCrew;
use App\Crew\Show\ShowShift;
use App\Crew\Show\View\CrewView;
use App\Crew\Show\View\ShiftView;
use App\Shared\Http\Api;
use App\Shared\Http\ViewRequest;
use Illuminate\Http\JsonResponse;
use Jorvel\Core\Shared\Day;

/** The room Crew: who is there, what they hold, and who works what on a shift. */
final class CrewController
{
    #[Api('crew', CrewView::class, 'People with what they hold, and what lapses')]
    public function index(ViewRequest $request, ShowCrew $read): JsonResponse
    {
        return new JsonResponse($read->all($request->person()));
    }

    #[Api('shift', ShiftView::class, 'A shift with its slots and people')]
    public function shift(ShiftRequest $request, ShowShift $read): JsonResponse
    {
        return new JsonResponse($read->read($request->base(), $request->day(), $request->shift(), $request->person()));
    }

    #[Api('proposeCrew', ShiftView::class, 'The shift as it would be; nothing is saved')]
    public function propose(CrewRequest $request, ShowShift $read): JsonResponse
    {
        return new JsonResponse($request->boolean('fill', true)
            ? $read->propose(
                $request->base(),
                $request->day(),
                $request->shift(),
                $request->places(),
                $request->person(),
            )
            : $read->judge(
                $request->base(),
                $request->day(),
                $request->shift(),
                $request->places(),
                $request->person(),
            ));
    }

    #[Api('saveCrew', ShiftView::class, 'The shift as it was kept')]
    public function save(CrewRequest $request, CommitCrew $commit, ShowShift $read): JsonResponse
    {
        $commit(
            $request->person(),
            $request->base(),
            $request->day(),
            $request->shift(),
            $request->integer('version'),
            $request->places(),
        );

        return new JsonResponse($read->read($request->base(), $request->day(), $request->shift(), $request->person()));
    }

    #[Api('setDays', CrewView::class, 'The room as it now stands')]
    public function days(int $id, DaysRequest $request, SetDays $days, ShowCrew $read): JsonResponse
    {
        $person = Person::with('rotaDays')->findOrFail($id);
        [$from, $until] = [
            Day::parse($request->string('from')->value()), Day::parse($request->string('until')->value()),
        ];
        $request->string('do')->value() === 'clear'
            ? $days->clear($request->person(), $person, $from, $until)
            : $days->set(
                $request->person(),
                $person,
                $from,
                $until,
                $request->string('do')->value() === 'shift' ? $request->string('shift')->value() : null,
                $request->string('why')->value(),
            );

        return new JsonResponse($read->all($request->person(), $person->refresh()));
    }
}
