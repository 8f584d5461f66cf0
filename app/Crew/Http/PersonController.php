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
use App\Shared\Http\ViewRequest;
use Illuminate\Http\JsonResponse;
use Jorvel\Core\Shared\Day;
use OpenApi\Attributes as OA;

/** One person: where and when they work, what they hold, and what was entered about them. */
final class PersonController
{
    #[OA\Get(path: '/api/people/{id}', operationId: 'person', parameters: [new OA\PathParameter(name: 'id', schema: new OA\Schema(type: 'integer'))], responses: [new OA\Response(response: 200, description: 'Somebody with all that is kept about them', content: new OA\JsonContent(ref: PersonRoom::class))])]
    public function show(int $id, ViewRequest $request, ShowPerson $read): JsonResponse
    {
        return new JsonResponse($read->one($id, $request->person()));
    }

    #[OA\Post(path: '/api/people', operationId: 'enterPerson', requestBody: new OA\RequestBody(required: true, content: new OA\JsonContent(required: ['login', 'name', 'stamp', 'role', 'base', 'shift', 'weekdays', 'trainee', 'password', 'pin'], properties: [new OA\Property(property: 'login', type: 'string'), new OA\Property(property: 'name', type: 'string'), new OA\Property(property: 'stamp', type: 'string'), new OA\Property(property: 'role', type: 'string'), new OA\Property(property: 'base', type: 'string'), new OA\Property(property: 'shift', type: 'string'), new OA\Property(property: 'weekdays', type: 'array', items: new OA\Items(type: 'integer')), new OA\Property(property: 'trainee', type: 'boolean'), new OA\Property(property: 'supervisor', type: 'integer', nullable: true), new OA\Property(property: 'leaves', type: 'string', nullable: true), new OA\Property(property: 'password', type: 'string'), new OA\Property(property: 'pin', type: 'string')])), responses: [new OA\Response(response: 200, description: 'Who was entered', content: new OA\JsonContent(ref: PersonRoom::class))])]
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

    #[OA\Post(path: '/api/people/{id}', operationId: 'changePerson', parameters: [new OA\PathParameter(name: 'id', schema: new OA\Schema(type: 'integer'))], requestBody: new OA\RequestBody(required: true, content: new OA\JsonContent(required: ['version', 'name', 'stamp', 'role', 'base', 'shift', 'weekdays', 'trainee'], properties: [new OA\Property(property: 'version', type: 'integer'), new OA\Property(property: 'name', type: 'string'), new OA\Property(property: 'stamp', type: 'string'), new OA\Property(property: 'role', type: 'string'), new OA\Property(property: 'base', type: 'string'), new OA\Property(property: 'shift', type: 'string'), new OA\Property(property: 'weekdays', type: 'array', items: new OA\Items(type: 'integer')), new OA\Property(property: 'trainee', type: 'boolean'), new OA\Property(property: 'supervisor', type: 'integer', nullable: true), new OA\Property(property: 'leaves', type: 'string', nullable: true)])), responses: [new OA\Response(response: 200, description: 'As it now stands', content: new OA\JsonContent(ref: PersonRoom::class))])]
    public function change(int $id, PersonRequest $request, CommitPerson $commit, ShowPerson $read): JsonResponse
    {
        $commit->change($request->person(), Person::findOrFail($id), $request->integer('version'), $request->fields());

        return new JsonResponse($read->one($id, $request->person()));
    }

    #[OA\Post(path: '/api/people/{id}/qualifications', operationId: 'changeQualification', parameters: [new OA\PathParameter(name: 'id', schema: new OA\Schema(type: 'integer'))], requestBody: new OA\RequestBody(required: true, content: new OA\JsonContent(required: ['version', 'do', 'kind', 'value', 'paper'], properties: [new OA\Property(property: 'version', type: 'integer'), new OA\Property(property: 'do', type: 'string', enum: ['grant', 'withdraw', 'take_back']), new OA\Property(property: 'kind', type: 'string', enum: ['skill', 'rating', 'authority']), new OA\Property(property: 'value', type: 'string'), new OA\Property(property: 'until', description: 'the last day; none where it does not lapse', type: 'string', nullable: true), new OA\Property(property: 'paper', description: 'what it rests on, or why it is withdrawn', type: 'string')])), responses: [new OA\Response(response: 200, description: 'As it now stands', content: new OA\JsonContent(ref: PersonRoom::class))])]
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

    #[OA\Post(path: '/api/people/{id}/secrets', operationId: 'giveSecrets', parameters: [new OA\PathParameter(name: 'id', schema: new OA\Schema(type: 'integer'))], requestBody: new OA\RequestBody(required: true, content: new OA\JsonContent(required: ['password', 'pin'], properties: [new OA\Property(property: 'password', type: 'string'), new OA\Property(property: 'pin', type: 'string')])), responses: [new OA\Response(response: 200, description: 'Given; they choose their own before they sign', content: new OA\JsonContent(ref: PersonRoom::class))])]
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

    #[OA\Post(path: '/api/people/{id}/code', operationId: 'makePinCode', parameters: [new OA\PathParameter(name: 'id', schema: new OA\Schema(type: 'integer'))], requestBody: new OA\RequestBody(required: true, content: new OA\JsonContent(required: ['stamp', 'pin'], properties: [new OA\Property(property: 'stamp', type: 'string'), new OA\Property(property: 'pin', type: 'string')])), responses: [new OA\Response(response: 200, description: 'The code, shown this once', content: new OA\JsonContent(ref: PinCodeView::class))])]
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

    #[OA\Post(path: '/api/people/{id}/qualifications/{value}/confirm', operationId: 'confirmAuthority', parameters: [new OA\PathParameter(name: 'id', schema: new OA\Schema(type: 'integer')), new OA\PathParameter(name: 'value', schema: new OA\Schema(type: 'string'))], requestBody: new OA\RequestBody(required: true, content: new OA\JsonContent(required: ['stamp', 'pin'], properties: [new OA\Property(property: 'stamp', type: 'string'), new OA\Property(property: 'pin', type: 'string')])), responses: [new OA\Response(response: 200, description: 'As it now stands', content: new OA\JsonContent(ref: PersonRoom::class))])]
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
