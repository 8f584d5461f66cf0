<?php

declare(strict_types=1);

namespace App\Shared\Http;

use App\Shared\Refused;
use Illuminate\Auth\Access\AuthorizationException;
use Illuminate\Auth\AuthenticationException;
use Illuminate\Foundation\Configuration\Exceptions;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Jorvel\Core\Shared\InputError;
use Symfony\Component\HttpKernel\Exception\AccessDeniedHttpException;

/** How errors leave the server: always JSON under /api, always with a message that says what to do. */
final class Failures
{
    public static function register(Exceptions $exceptions): void
    {
        $exceptions->shouldRenderJsonWhen(static fn(Request $request): bool => $request->is('api/*'));
        $exceptions->dontReport([Refused::class, InputError::class]);
        $exceptions->render(static fn(Refused $e): JsonResponse => new JsonResponse(['message' => $e->getMessage(), ...$e->extra], $e->status));
        $exceptions->render(static fn(InputError $e): JsonResponse => new JsonResponse(
            ['message' => trim($e->path.' '.$e->getMessage()), ...$e->toArray()],
            422,
        ));
        $exceptions->render(static fn(AuthenticationException $e): JsonResponse => new JsonResponse(['message' => 'You are signed out. Sign in again; what you typed is still on this screen.'], 401));
        $exceptions->render(static fn(AccessDeniedHttpException $e): JsonResponse => new JsonResponse(
            ['message' => $e->getPrevious() instanceof AuthorizationException && $e->getMessage() !== 'This action is unauthorized.' ? $e->getMessage() : 'Your role does not allow this.'],
            403,
        ));
    }
}
