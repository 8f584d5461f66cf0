<?php

declare(strict_types=1);

namespace App\Shared\Http;

use App\Crew\Model\Person;
use Illuminate\Database\Query\Builder;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\DB;

/** A request by whom and under which key it was sent, and what was answered to it before. */
final readonly class Sent
{
    private function __construct(public int $personId, public string $key, public string $print) {}

    /** @return self|null null where it has no key, or nobody is signed in */
    public static function of(Request $request): ?self
    {
        $key = (string) $request->header('Idempotency-Key', '');
        $person = $request->user();
        if ($key === '' || ! $person instanceof Person) {
            return null;
        }

        return new self(
            $person->id,
            substr($key, 0, 120),
            // With the application's key, since a body may hold a PIN, and a plain hash of one is soon guessed.
            hash_hmac(
                'sha256',
                $request->method().' '.$request->path()."\n".$request->getContent(),
                (string) config('app.key'),
            ),
        );
    }

    public function answers(): Builder
    {
        return DB::table('answers')->where(['person_id' => $this->personId, 'key' => $this->key]);
    }

    /** @return JsonResponse|null what was answered before; null where it was not carried out yet */
    public function answer(): ?JsonResponse
    {
        $kept = $this->answers()->first();

        return match (true) {
            $kept === null => null,
            $kept->request !== $this->print => new JsonResponse(
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
}
