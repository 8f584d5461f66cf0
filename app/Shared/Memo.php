<?php

declare(strict_types=1);

namespace App\Shared;

/**
 * What one request has worked out and asks for again: kept until the request ends, or until anything is written to a
 * table that it was read from, whichever comes first. So nobody has to remember to forget.
 */
final class Memo
{
    /** @var array<string, array{mixed, list<string>}> value and tables, by key */
    private array $kept = [];

    /**
     * @template T
     *
     * @param string $key of all that it depends on
     * @param list<string> $tables that it is read from
     * @param callable(): T $make
     *
     * @return T
     */
    public function of(string $key, array $tables, callable $make): mixed
    {
        if (! isset($this->kept[$key])) {
            $this->kept[$key] = [$make(), $tables];
        }

        return $this->kept[$key][0];
    }

    /** A statement was carried out. */
    public function heard(string $sql): void
    {
        if ($this->kept === [] || preg_match(
            '/^\s*(insert|update|delete|replace|drop|alter|rollback)\b/i',
            $sql,
        ) !== 1) {
            return;
        }
        foreach ($this->kept as $key => [, $tables]) {
            if (preg_match('/\b('.implode('|', $tables).')\b/', $sql) === 1) {
                unset($this->kept[$key]);
            }
        }
    }

    public function forget(): void
    {
        $this->kept = [];
    }
}
