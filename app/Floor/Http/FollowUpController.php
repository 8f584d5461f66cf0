<?php

declare(strict_types=1);

namespace App\Floor\Http;

use App\Floor\Do\FollowUps;
use App\Floor\Model\Finding;
use App\Floor\Show\ShowFinding;
use App\Floor\Show\View\FindingDetail;
use App\Shared\Http\Api;
use Illuminate\Http\JsonResponse;

/** What follows from a finding: answered, not needed, or opened by hand. */
final class FollowUpController
{
    #[Api('answerFollowUp', FindingDetail::class, 'The finding with it answered')]
    public function answer(int $id, FollowUpRequest $request, FollowUps $follows, ShowFinding $read): JsonResponse
    {
        $answer = trim($request->string('answer')->value());
        $finding = $request->boolean('not_needed')
            ? $follows->notNeeded($request->person(), $id, $answer)
            : $follows->answer($request->person(), $id, $answer, $request->wrong());

        return new JsonResponse($read->one($finding, $request->person()));
    }

    #[Api('mistakenFollowUp', FindingDetail::class, 'The finding with it to be answered once more')]
    public function mistake(int $id, MistakeRequest $request, FollowUps $follows, ShowFinding $read): JsonResponse
    {
        $finding = $follows->mistake($request->person(), $id, trim($request->string('why')->value()));

        return new JsonResponse($read->one($finding, $request->person()));
    }

    #[Api('openRule', FindingDetail::class, 'The finding with what follows', 201)]
    public function open(int $id, OpenRuleRequest $request, FollowUps $follows, ShowFinding $read): JsonResponse
    {
        $finding = $follows->add($request->person(), Finding::findOrFail($id), $request->integer('rule'));

        return new JsonResponse($read->one($finding, $request->person()), 201);
    }
}
