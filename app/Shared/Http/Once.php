<?php

declare(strict_types=1);

namespace App\Shared\Http;

use App\Crew\Model\Person;
use Closure;
use Illuminate\Database\UniqueConstraintViolationException;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\DB;
use Symfony\Component\HttpFoundation\Response;

/**
 * A request sent twice is carried out once.
 *
 * The client names each intention in `Idempotency-Key`; the first request with a key is worked, and its answer is kept
 * and given again to every later one. A refused or failed request leaves no answer, so it can be sent again.
 */
final class Once
{
    public function handle(Request $request, Closure $next): Response
    {
        $key = (string) $request->header('Idempotency-Key', '');
        $person = $request->user();
        if ($key === '' || ! $person instanceof Person) {
            return $next($request);
        }
        $where = ['person_id' => $person->id, 'key' => substr($key, 0, 120)];
        // With the application's key, since a body may hold a PIN, and a plain hash of one is soon guessed.
        $print = hash_hmac('sha256', $request->method().' '.$request->path()."\n".$request->getContent(), (string) config('app.key'));
        try {
            DB::table('answers')->insert([...$where, 'request' => $print]);
        } catch (UniqueConstraintViolationException) {
            return $this->again($where, $print);
        }
        $response = $next($request);
        if ($response->isSuccessful()) {
            DB::table('answers')->where($where)->update(['status' => $response->getStatusCode(), 'body' => $response->getContent()]);
        } else {
            DB::table('answers')->where($where)->delete();
        }

        return $response;
    }

    /** @param array{person_id: int, key: string} $where */
    private function again(array $where, string $print): JsonResponse
    {
        // The first one may still be at work in another process.
        for ($i = 0; $i < 40; $i++) {
            $kept = DB::table('answers')->where($where)->first();
            if ($kept !== null && $kept->request !== $print) {
                return new JsonResponse(['message' => 'This key was already used for another request.'], 422);
            }
            if ($kept === null || $kept->status !== null) {
                break;
            }
            usleep(100_000);
        }

        return isset($kept->status)
            ? JsonResponse::fromJsonString((string) $kept->body, (int) $kept->status, ['Idempotent-Replay' => 'true'])
            : new JsonResponse(['message' => 'The same request is already being worked, or failed. Reload to see what was kept.'], 409);
    }
}
