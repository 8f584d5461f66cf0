<?php

declare(strict_types=1);

namespace App\Shared;

use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response;
use Jorvel\Core\Contract\Door;
use Jorvel\Core\Contract\Kinds;
use Jorvel\Core\Shared\InputError;
use OpenApi\Attributes as OA;

/** The core over HTTP: same body and same answer as the command line. */
final class ComputeController
{
    #[OA\Post(path: '/api/compute/{kind}', operationId: 'compute', parameters: [new OA\PathParameter(name: 'kind', schema: new OA\Schema(type: 'string'))], requestBody: new OA\RequestBody(required: true, content: new OA\JsonContent(type: 'object', additionalProperties: true)), responses: [new OA\Response(response: 200, description: 'The result', content: new OA\JsonContent(type: 'object', additionalProperties: true)), new OA\Response(response: 422, description: 'What is wrong, and where')])]
    public function store(string $kind, Request $request): Response|JsonResponse
    {
        abort_unless(isset(Kinds::all()[$kind]), 404, "There is no kind \"{$kind}\".");
        try {
            $asked = json_decode($request->getContent());
            if (is_object($asked) && is_numeric($asked->budget_ms ?? null) && $asked->budget_ms > config('jorvel.compute_ms')) {
                throw InputError::at(
                    'budget_ms',
                    'must be at most '.config('jorvel.compute_ms').' here; for a longer search use the command',
                );
            }

            return new Response(
                Door::compute($kind, $request->getContent()),
                200,
                ['Content-Type' => 'application/json'],
            );
        } catch (InputError $e) {
            return new JsonResponse($e->toArray(), 422);
        }
    }
}
