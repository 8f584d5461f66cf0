<?php

declare(strict_types=1);

namespace App\Shared;

use App\Shared\Http\Api;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response;
use Jorvel\Core\Contract\Door;
use Jorvel\Core\Contract\Kinds;
use Jorvel\Core\Shared\InputError;

/** The core over HTTP: same body and same answer as the command line. */
final class ComputeController
{
    #[Api('compute', 'object', 'The result', takes: 'object')]
    public function store(string $kind, Request $request): Response|JsonResponse
    {
        abort_unless(isset(Kinds::all()[$kind]), 404, "There is no kind \"{$kind}\".");
        try {
            $asked = json_decode($request->getContent());
            if (
                is_object($asked)
                && is_numeric($asked->budget_ms ?? null)
                && $asked->budget_ms > config('jorvel.compute_ms')
            ) {
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
