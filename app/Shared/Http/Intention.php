<?php

declare(strict_types=1);

namespace App\Shared\Http;

use Illuminate\Database\UniqueConstraintViolationException;
use Illuminate\Support\Facades\DB;

/**
 * What a request was sent to do, by the key that its sender gave it.
 *
 * The key is written by the transaction that does it, in the last moment before it commits: so either both stand or
 * neither does, whatever happens to the process in between. One of an application's many transactions is the one;
 * readers that keep what they worked out go aside.
 */
final class Intention
{
    /** @var array{person_id: int, key: string, request: string}|null */
    private ?array $row = null;

    private bool $written = false;

    private int $aside = 0;

    public function begin(int $personId, string $key, string $request): void
    {
        $this->row = ['person_id' => $personId, 'key' => $key, 'request' => $request];
        $this->written = false;
    }

    public function end(): void
    {
        $this->row = null;
    }

    public function written(): bool
    {
        return $this->written;
    }

    /**
     * A transaction that is not what was sent for.
     *
     * @template T
     *
     * @param callable(): T $do
     *
     * @return T
     */
    public function aside(callable $do): mixed
    {
        $this->aside++;
        try {
            return $do();
        } finally {
            $this->aside--;
        }
    }

    /**
     * Called when the outermost transaction is about to commit.
     *
     * @throws AlreadyDone when the same intention was carried out meanwhile; the transaction is taken back then
     */
    public function committing(string $at): void
    {
        if ($this->row === null || $this->written || $this->aside > 0) {
            return;
        }
        try {
            DB::table('answers')->insert([...$this->row, 'at' => $at]);
        } catch (UniqueConstraintViolationException) {
            // The framework does not take back what it was about to commit.
            DB::connection()->getPdo()->rollBack();
            throw new AlreadyDone;
        }
        $this->written = true;
    }
}
