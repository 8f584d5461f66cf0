<?php

declare(strict_types=1);

namespace App\Shared\Http;

use App\Shared\Clock;
use Closure;
use Illuminate\Database\QueryException;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\DB;
use Symfony\Component\HttpFoundation\Response;

/**
 * A request sent twice is carried out once.
 *
 * The client names each intention in `Idempotency-Key`. The key stands from the moment on in which its transaction
 * commits ({@see Intention}); its answer is kept after that, and given again to every later request with the key. A
 * request that is refused, fails or dies leaves nothing, so it can be sent again at once. One that was carried out and
 * whose answer was lost is told so. What was answered before is told by {@see Again}.
 */
final readonly class Once
{
    /** How long a key is remembered, in days; a tablet may lie in a drawer over a holiday. */
    private const DAYS = 30;

    public function __construct(private Intention $intention, private Clock $clock) {}

    public function handle(Request $request, Closure $next): Response
    {
        $sent = Sent::of($request);
        if ($sent === null) {
            return $next($request);
        }
        $this->intention->begin($sent->personId, $sent->key, $sent->print);
        $response = $next($request);
        $done = $this->intention->written();
        $this->intention->end();
        if ($done && $response->isSuccessful()) {
            $this->keep($sent, $response);

            return $response;
        }

        // Refused or failed here; but the same may have been carried out meanwhile, or been carried out before the
        // failure.
        return ($response->isSuccessful() ? null : $sent->answer()) ?? $response;
    }

    /** It is done: that there is no room for its answer, or no time, takes nothing back. */
    private function keep(Sent $sent, Response $response): void
    {
        try {
            $sent->answers()->update(['status' => $response->getStatusCode(), 'body' => $response->getContent()]);
            $this->prune();
        } catch (QueryException $e) {
            if (! Failures::keptNothing($e)) {
                throw $e;
            }
        }
    }

    /** Now and then, old keys go. */
    private function prune(): void
    {
        if (random_int(1, 200) === 1) {
            DB::table('answers')->where('at', '<', (string) $this->clock->today()->plusDays(-self::DAYS))->delete();
        }
    }
}
