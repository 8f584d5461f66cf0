<?php

declare(strict_types=1);

namespace App\Shared\Http;

use App\Shared\Clock;
use App\Shared\Refused;
use App\Shared\Words;
use Illuminate\Auth\Access\AuthorizationException;
use Illuminate\Auth\AuthenticationException;
use Illuminate\Database\QueryException;
use Illuminate\Foundation\Configuration\Exceptions;
use Illuminate\Http\Exceptions\HttpResponseException;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Session\TokenMismatchException;
use Illuminate\Validation\ValidationException;
use Jorvel\Core\Shared\InputError;
use Symfony\Component\HttpKernel\Exception\AccessDeniedHttpException;
use Symfony\Component\HttpKernel\Exception\HttpException;
use Symfony\Component\HttpKernel\Exception\MethodNotAllowedHttpException;
use Symfony\Component\HttpKernel\Exception\NotFoundHttpException;
use Symfony\Component\HttpKernel\Exception\TooManyRequestsHttpException;
use Throwable;

/**
 * How errors leave the server: always JSON under /api, always with a message that says what happened, what was kept and
 * what to do.
 */
final class Failures
{
    /** So many sentences about fields are said at once. */
    private const FIELDS = 5;

    public const NOT_FOUND = 'Not found: it was removed, or the address is wrong. Nothing was changed.';

    public const BUSY = 'Others are saving at this moment. Nothing was changed; send it again.';

    public const FULL = 'The server has no room left to save anything. Nothing was changed; what is there can still '
        .'be read. Tell whoever looks after it.';

    public const FAILED = 'The server failed at this, and has written down why. Nothing was changed; what you '
        .'entered is still on this screen. Try it once more, then tell whoever looks after it.';

    public static function register(Exceptions $exceptions): void
    {
        $exceptions->shouldRenderJsonWhen(static fn(Request $request): bool => $request->is('api/*'));
        $exceptions->dontReport([Refused::class, InputError::class, AlreadyDone::class]);
        // A statement's values may be somebody's secrets: they do not go into the log.
        $exceptions->report(static function (QueryException $e): bool {
            logger()->error('database: '.$e->getPrevious()?->getMessage(), ['sql' => $e->getSql()]);

            return false;
        });
        $exceptions->render(static fn(Refused $e): JsonResponse => new JsonResponse(
            ['message' => Words::days($e->getMessage(), app(Clock::class)->today()), ...$e->extra],
            $e->status,
        ));
        $exceptions->render(static fn(InputError $e): JsonResponse => new JsonResponse(
            ['message' => trim($e->path.' '.$e->getMessage()), ...$e->toArray()],
            422,
        ));
        $exceptions->render(static fn(ValidationException $e): JsonResponse => new JsonResponse(
            ['message' => self::fields($e), 'errors' => $e->errors()],
            $e->status,
        ));
        $exceptions->render(
            static fn(AlreadyDone $e): JsonResponse => new JsonResponse(['message' => self::BUSY], 409),
        );
        $exceptions->render(static fn(AuthenticationException $e): JsonResponse => new JsonResponse(
            ['message' => 'You are signed out. Sign in again; what you typed is still on this screen.'],
            401,
        ));
        $exceptions->render(static fn(AccessDeniedHttpException $e): JsonResponse => new JsonResponse(
            ['message' => self::denied($e)],
            403,
        ));
        $exceptions->render(
            static fn(Throwable $e, Request $request): ?JsonResponse => $request->is('api/*') ? self::other($e) : null,
        );
    }

    private static function denied(AccessDeniedHttpException $e): string
    {
        $own = $e->getPrevious() instanceof AuthorizationException
            && $e->getMessage() !== 'This action is unauthorized.';

        return $own ? $e->getMessage() : 'Your role does not allow this. Nothing was changed.';
    }

    /** Every field's sentence, each once, the first few of many. */
    private static function fields(ValidationException $e): string
    {
        $said = array_values(array_unique(array_merge(...array_values($e->errors()))));
        $more = count($said) - self::FIELDS;

        return implode(' ', array_slice($said, 0, self::FIELDS)).($more > 0 ? " And {$more} more." : '');
    }

    private static function other(Throwable $e): ?JsonResponse
    {
        [$status, $message] = match (true) {
            $e instanceof NotFoundHttpException => [
                404,
                $e->getPrevious() === null && $e->getMessage() !== ''
                    && ! str_starts_with($e->getMessage(), 'The route ')
                    ? $e->getMessage()
                    : self::NOT_FOUND,
            ],
            $e instanceof MethodNotAllowedHttpException => [405, self::NOT_FOUND],
            $e instanceof TooManyRequestsHttpException => [
                429,
                'Too many tries in a short time. Nothing was changed; wait a minute, then try again.',
            ],
            $e instanceof TokenMismatchException, $e instanceof HttpException && $e->getStatusCode() === 419 => [
                419,
                'This page was open for too long. Nothing was changed; reload it and sign in again.',
            ],
            $e instanceof QueryException, $e instanceof \PDOException => self::database($e),
            $e instanceof HttpException && $e->getStatusCode() < 500 => [null, ''],
            $e instanceof ValidationException, $e instanceof HttpResponseException => [null, ''],
            default => [500, self::FAILED],
        };

        return $status === null ? null : new JsonResponse(
            ['message' => $message],
            $status,
            $e instanceof HttpException ? $e->getHeaders() : [],
        );
    }

    /** Whether nothing could be saved for a reason that passes: another is writing, or there is no room. */
    public static function keptNothing(Throwable $e): bool
    {
        return in_array(self::database($e)[0], [503, 507], true);
    }

    /** @return array{int, string} */
    private static function database(Throwable $e): array
    {
        return match (true) {
            str_contains($e->getMessage(), 'database is locked'), str_contains(
                $e->getMessage(),
                'database table is locked',
            ) => [503, self::BUSY],
            str_contains($e->getMessage(), 'disk is full'), str_contains($e->getMessage(), 'disk I/O error'),
            str_contains($e->getMessage(), 'readonly database') => [507, self::FULL],
            default => [500, self::FAILED],
        };
    }
}
