<?php

declare(strict_types=1);

namespace App\Shared;

use App\Crew\Model\Person;
use Illuminate\Support\Facades\DB;

/**
 * The append-only record: every signature, reading and change of state, each chained to the one before.
 *
 * A record's hash is the SHA-256 of the previous hash, a newline, and the canonical JSON (keys sorted, no spaces) of
 * its number, time, person, kind, subject and data. The table refuses updates and deletes; corrections are new records.
 */
final class Records
{
    private const FIRST = '0000000000000000000000000000000000000000000000000000000000000000';

    /** @var array{id: int, hash: string}|null the last one, while the transaction goes on that wrote it */
    private ?array $last = null;

    public function __construct(private readonly Clock $clock) {}

    /** @return int the latest record's number; it moves with whatever anybody does */
    public function latest(): int
    {
        return (int) DB::table('records')->max('id');
    }

    /** What a transaction wrote counts no more: it has ended. */
    public function ended(): void
    {
        $this->last = null;
    }

    /**
     * Writes one record; call it inside the transaction of what it records.
     *
     * @param string $what verb of the field, e.g. `card.signed`
     * @param string $subject what it is about, e.g. `card:12`
     * @param array<string, mixed> $data
     */
    public function write(?Person $who, string $what, string $subject, array $data = []): void
    {
        DB::transaction(function () use ($who, $what, $subject, $data): void {
            $last = $this->last
                ?? (array) (DB::table('records')->orderByDesc('id')->first(['id', 'hash'])
                    ?? ['id' => 0, 'hash' => self::FIRST]);
            $row = [
                'id' => $last['id'] + 1,
                'at' => (string) $this->clock->now(),
                'who' => $who === null ? 'system' : "{$who->name} ({$who->stamp})",
                'what' => $what,
                'subject' => $subject,
                'data' => self::canonical($data),
            ];
            $hash = self::hash($last['hash'], $row);
            DB::table('records')->insert([...$row, 'previous' => $last['hash'], 'hash' => $hash]);
            $this->last = ['id' => $row['id'], 'hash' => $hash];
        });
    }

    /**
     * Walks the chain.
     *
     * @return array{count: int, broken: array{id: int, why: string}|null, head: string}
     */
    public function verify(): array
    {
        $previous = self::FIRST;
        $count = 0;
        foreach (DB::table('records')->orderBy('id')->lazy(500) as $row) {
            $count++;
            $why = match (true) {
                (int) $row->id !== $count => "record {$count} is missing",
                $row->previous !== $previous => 'it is not chained to the record before it',
                $row->hash !== self::hash($previous, (array) $row) => 'its contents do not match its hash',
                default => null,
            };
            if ($why !== null) {
                return ['count' => $count, 'broken' => ['id' => (int) $row->id, 'why' => $why], 'head' => $previous];
            }
            $previous = $row->hash;
        }

        return ['count' => $count, 'broken' => null, 'head' => $previous];
    }

    /** @param array<string, mixed> $row */
    private static function hash(string $previous, array $row): string
    {
        $kept = array_intersect_key($row, array_flip(['id', 'at', 'who', 'what', 'subject', 'data']));

        return hash('sha256', $previous."\n".self::canonical($kept));
    }

    /** @param array<array-key, mixed> $data */
    private static function canonical(array $data): string
    {
        $sort = static function (mixed $value) use (&$sort): mixed {
            if (! is_array($value)) {
                return $value;
            }
            if (! array_is_list($value)) {
                ksort($value, SORT_STRING);
            }

            return array_map($sort, $value);
        };

        return json_encode($sort($data), JSON_THROW_ON_ERROR | JSON_UNESCAPED_SLASHES | JSON_UNESCAPED_UNICODE);
    }
}
