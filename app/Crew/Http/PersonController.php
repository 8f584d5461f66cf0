<?php

declare(strict_types=1);

namespace App\Crew\Http;

use App\Crew\Do\CommitPerson;
use App\Crew\Do\CommitQualification;
use App\Crew\Do\ConfirmAuthority;
use App\Crew\Do\PinCode;
use App\Crew\Do\Secrets;
use App\Crew\Model\Person;
use App\Crew\Show\ShowPerson;
use App\Crew\Show\View\PersonRoom;
use App\Crew\Show\View\PinCodeView;
use App\Shared\Http\Api;
use App\Shared\Http\ViewRequest;
use Illuminate\Http\JsonResponse;
use Jorvel\Core\Shared\Day;

/** One person: where and when they work, what they hold, and what was entered about them. */
final class PersonController
{
    #[Api('person', PersonRoom::class, 'Somebody with all that is kept about them')]
    public function show(int $id, ViewRequest $request, ShowPerson $read): JsonResponse
    {
        return new JsonResponse($read->one($id, $request->person()));
    }

    #[Api('enterPerson', PersonRoom::class, 'Who was entered')]
    public function enter(PersonRequest $request, CommitPerson $commit, ShowPerson $read): JsonResponse
    {
        $person = $commit->enter(
            $request->person(),
            $request->string('login')->value(),
            $request->fields(),
            $request->string('password')->value(),
            $request->string('pin')->value(),
        );

        return new JsonResponse($read->one($person->id, $request->person()));
    }

    #[Api('changePerson', PersonRoom::class, 'As it now stands')]
    public function change(int $id, PersonRequest $request, CommitPerson $commit, ShowPerson $read): JsonResponse
    {
        $commit->change($request->person(), Person::findOrFail($id), $request->integer('version'), $request->fields());

        return new JsonResponse($read->one($id, $request->person()));
    }

    #[Api('changeQualification', PersonRoom::class, 'As it now stands')]
    public function qualification(
        int $id,
        QualificationRequest $request,
        CommitQualification $commit,
        ShowPerson $read,
    ): JsonResponse {
        $what = [
            Person::findOrFail($id), $request->integer('version'), $request->string('kind')->value(),
            $request->string('value')->value(),
        ];
        $paper = $request->string('paper')->value();
        match ($request->string('do')->value()) {
            'grant' => $commit->grant(
                $request->person(),
                ...$what,
                until: $request->filled('until') ? Day::parse($request->string('until')->value()) : null,
                paper: $paper,
            ),
            'take_back' => $commit->takeBack($request->person(), ...$what, why: $paper),
            default => $commit->withdraw($request->person(), ...$what, why: $paper),
        };

        return new JsonResponse($read->one($id, $request->person()));
    }

    #[Api('giveSecrets', PersonRoom::class, 'Given; they choose their own before they sign')]
    public function secrets(int $id, GiveSecretsRequest $request, Secrets $secrets, ShowPerson $read): JsonResponse
    {
        $secrets->give(
            $request->person(),
            Person::findOrFail($id),
            $request->string('password')->value(),
            $request->string('pin')->value(),
        );

        return new JsonResponse($read->one($id, $request->person()));
    }

    #[Api('makePinCode', PinCodeView::class, 'The code, shown this once')]
    public function code(int $id, PinCodeRequest $request, PinCode $codes): JsonResponse
    {
        $for = Person::findOrFail($id);
        $code = $codes->make(
            $request->person(),
            $for,
            $request->string('stamp')->value(),
            $request->string('pin')->value(),
        );

        return new JsonResponse(
            new PinCodeView(
                $code,
                "Tell it to {$for->name} in person, once you have seen that it is them. It is shown this once, and "
                    .'holds for '
                    .config('jorvel.pin_code_hours').' hours.',
            ),
        );
    }

    #[Api('confirmAuthority', PersonRoom::class, 'As it now stands')]
    public function confirm(
        int $id,
        string $value,
        PinCodeRequest $request,
        ConfirmAuthority $authorities,
        ShowPerson $read,
    ): JsonResponse {
        $authorities->confirm(
            $request->person(),
            Person::findOrFail($id),
            $value,
            $request->string('stamp')->value(),
            $request->string('pin')->value(),
        );

        return new JsonResponse($read->one($id, $request->person()));
    }
}
