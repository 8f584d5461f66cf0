<?php

declare(strict_types=1);

namespace App\Shared\Http;

use App\Crew\Model\Person;
use App\Shared\Clock;
use Closure;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\DB;
use Symfony\Component\HttpFoundation\Response;

/**
 * A request sent twice is carried out once.
 *
 * The client names each intention in `Idempotency-Key`. The key stands from the moment on in which its transaction
 * commits ({@see Intention}); its answer is kept after that, and given again to every later request with the key. A
 * request that is refused, fails or dies leaves nothing, so it can be sent again at once. One that was carried out and
 * whose answer was lost is told so.
 */
final readonly class Once
{
    /** How long a key is remembered, in days; a tablet may lie in a drawer over a holiday. */
    private const DAYS = 30;

    public function __construct(private Intention $intention, private Clock $clock) {}

    public function handle(Request $request, Closure $next): Response
    {
        $key = (string) $request->header('Idempotency-Key', '');
        $person = $request->user();
        if ($key === '' || ! $person instanceof Person) {
            return $next($request);
        }
        $where = ['person_id' => $person->id, 'key' => substr($key, 0, 120)];
        // With the application's key, since a body may hold a PIN, and a plain hash of one is soon guessed.
        $print = hash_hmac(
            'sha256',
            $request->method().' '.$request->path()."\n".$request->getContent(),
            (string) config('app.key'),
        );
        $before = self::again($where, $print);
        if ($before !== null) {
            return $before;
        }
        $this->intention->begin($person->id, $where['key'], $print);
        $response = $next($request);
        $done = $this->intention->written();
        $this->intention->end();
        if ($done && $response->isSuccessful()) {
            DB::table('answers')->where($where)
                ->update(['status' => $response->getStatusCode(), 'body' => $response->getContent()]);
            $this->prune();

            return $response;
        }

        // Refused or failed here; but the same may have been carried out meanwhile, or been carried out before the
        // failure.
        return ($response->isSuccessful() ? null : self::again($where, $print)) ?? $response;
    }

    /** @param array{person_id: int, key: string} $where */
    private static function again(array $where, string $print): ?JsonResponse
    {
        $kept = DB::table('answers')->where($where)->first();

        return match (true) {
            $kept === null => null,
            $kept->request !== $print => new JsonResponse(
                ['message' => 'This key was already used for another request.'],
                422,
            ),
            $kept->status !== null => JsonResponse::fromJsonString(
                (string) $kept->body,
                (int) $kept->status,
                ['Idempotent-Replay' => 'true'],
            ),
            default => new JsonResponse(
                ['message' => 'This was saved; its answer was lost on the way. What is shown is read anew.'],
                200,
                ['Idempotent-Replay' => 'lost'],
            ),
        };
    }

    /** Now and then, old keys go. */
    private function prune(): void
    {
        if (random_int(1, 200) === 1) {
            DB::table('answers')->where('at', '<', (string) $this->clock->today()->plusDays(-self::DAYS))->delete();
        }
    }
}
