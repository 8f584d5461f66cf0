<?php

declare(strict_types=1);

namespace App\Shared;

use Illuminate\Support\Facades\DB;

/** What somebody must be told although they did not ask: shown under the top line until they have seen it. */
final readonly class Notices
{
    public function __construct(private Clock $clock) {}

    /** Call it inside the transaction of what it tells of. */
    public function tell(int $personId, string $said, ?string $link = null): void
    {
        DB::table('notices')->insert([
            'person_id' => $personId,
            'said' => $said,
            'link' => $link,
            'at' => (string) $this->clock->now(),
        ]);
    }

    /** Marks one as seen by the person it is for. */
    public function seen(int $personId, int $id): void
    {
        DB::table('notices')->where(['id' => $id, 'person_id' => $personId])
            ->whereNull('seen_at')
            ->update(['seen_at' => (string) $this->clock->now()]);
    }

    /** @return list<array{id: int, said: string, link: string|null, at: string}> not seen yet, the newest first */
    public function unseen(int $personId): array
    {
        return array_values(DB::table('notices')->where('person_id', $personId)
            ->whereNull('seen_at')
            ->orderByDesc('id')
            ->limit(20)
            ->get()
            ->map(static fn(\stdClass $n): array => [
                'id' => (int) $n->id,
                'said' => (string) $n->said,
                'link' => $n->link,
                'at' => (string) $n->at,
            ])
            ->all());
    }
}
