<?php

declare(strict_types=1);

namespace App\Library\Http;

use App\Fleet\Model\AircraftType;
use App\Library\Do\FollowFile;
use App\Library\Do\FollowRules;
use App\Library\Show\ShowFollows;
use App\Library\Show\View\FollowPreview;
use App\Library\Show\View\FollowsRoom;
use App\Shared\Http\Api;
use App\Shared\Http\ViewRequest;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Response;

/** Rules of what follows: proposed, agreed, withdrawn, taken away as a file. */
final class FollowController
{
    #[Api('follows', FollowsRoom::class, 'The rules of what follows')]
    public function index(ViewRequest $request, ShowFollows $read): JsonResponse
    {
        return new JsonResponse($read->all($request->person()));
    }

    #[Api('previewFollow', FollowPreview::class, 'What it would do; nothing is saved')]
    public function preview(string $type, FollowRequest $request, ShowFollows $read): JsonResponse
    {
        return new JsonResponse($read->preview(self::type($type), $request->body()));
    }

    #[Api('proposeFollow', FollowsRoom::class, 'The rules with the proposal', 201)]
    public function propose(string $type, FollowRequest $request, FollowRules $rules, ShowFollows $read): JsonResponse
    {
        $rules->propose(
            $request->person(),
            self::type($type),
            $request->body(),
            trim($request->string('reason')->value()),
            $request->input('version') === null ? null : $request->integer('version'),
        );

        return new JsonResponse($read->all($request->person()), 201);
    }

    #[Api('decideFollow', FollowsRoom::class, 'The rules with it decided')]
    public function decide(int $id, DecideLessonRequest $request, FollowRules $rules, ShowFollows $read): JsonResponse
    {
        $rules->decide(
            $request->person(),
            $id,
            $request->boolean('accept') ? null : trim($request->string('why')->value()),
        );

        return new JsonResponse($read->all($request->person()));
    }

    #[Api('withdrawFollow', FollowsRoom::class, 'The rules without it')]
    public function withdraw(
        int $id,
        WithdrawFollowRequest $request,
        FollowRules $rules,
        ShowFollows $read,
    ): JsonResponse {
        $rules->withdraw($request->person(), $id, trim($request->string('why')->value()));

        return new JsonResponse($read->all($request->person()));
    }

    /** The rules of a type as a file that can be brought in again. */
    public function file(string $type): Response
    {
        $of = self::type($type);

        return new Response(FollowFile::json($of), 200, [
            'Content-Type' => 'application/json',
            'Content-Disposition' => "attachment; filename=\"follows-{$of->code}.json\"",
        ]);
    }

    private static function type(string $code): AircraftType
    {
        return AircraftType::where('code', $code)->firstOrFail();
    }
}
