<?php

declare(strict_types=1);

namespace App\Floor\Http;

use App\Fleet\Model\Aircraft;
use App\Floor\Show\ShowRegister;
use App\Floor\Show\View\RegistersView;
use App\Floor\Show\View\RegisterView;
use App\Shared\Http\ViewRequest;
use Illuminate\Http\JsonResponse;
use OpenApi\Attributes as OA;

/** The safing registers. */
final class RegisterController
{
    #[OA\Get(path: '/api/registers', operationId: 'registers', responses: [new OA\Response(response: 200, description: 'Aircraft with something fitted', content: new OA\JsonContent(ref: RegistersView::class))])]
    public function index(ShowRegister $read): JsonResponse
    {
        return new JsonResponse($read->all());
    }

    #[OA\Get(path: '/api/registers/{mark}', operationId: 'register', parameters: [new OA\PathParameter(name: 'mark', schema: new OA\Schema(type: 'string'))], responses: [new OA\Response(response: 200, description: 'What is fitted to one aircraft, and where', content: new OA\JsonContent(ref: RegisterView::class))])]
    public function show(string $mark, ViewRequest $request, ShowRegister $read): JsonResponse
    {
        return new JsonResponse(
            $read->one(Aircraft::with('type')->where('mark', $mark)->firstOrFail(), $request->person()),
        );
    }
}
