<?php

declare(strict_types=1);

namespace App\Floor\Http;

use App\Fleet\Model\Aircraft;
use App\Floor\Show\ShowRegister;
use App\Floor\Show\View\RegistersView;
use App\Floor\Show\View\RegisterView;
use App\Shared\Http\Api;
use App\Shared\Http\ViewRequest;
use Illuminate\Http\JsonResponse;

/** The safing registers. */
final class RegisterController
{
    #[Api('registers', RegistersView::class, 'Aircraft with something fitted')]
    public function index(ShowRegister $read): JsonResponse
    {
        return new JsonResponse($read->all());
    }

    #[Api('register', RegisterView::class, 'What is fitted to one aircraft, and where')]
    public function show(string $mark, ViewRequest $request, ShowRegister $read): JsonResponse
    {
        return new JsonResponse(
            $read->one(Aircraft::with('type')->where('mark', $mark)->firstOrFail(), $request->person()),
        );
    }
}
