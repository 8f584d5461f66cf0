<?php

declare(strict_types=1);

namespace Jorvel\Core\Shared;

/**
 * Input that cannot be taken, with the place where it stands.
 *
 * The path is dotted (`item.limits.0.interval`); the empty path is the whole input. A value object that only knows its
 * own field throws with that field, and whoever knows the rest puts it in front with {@see under()}.
 */
final class InputError extends \DomainException
{
    private function __construct(public readonly string $path, string $message)
    {
        parent::__construct($message);
    }

    /** @pure */
    public static function at(string $path, string $message): self
    {
        return new self($path, $message);
    }

    /** @pure */
    public static function missing(string $path): self
    {
        return new self($path, 'is missing');
    }

    /** @pure */
    public static function unknown(string $path): self
    {
        return new self($path, 'is not a known field');
    }

    /** The same error, seen from one level further out. */
    public function under(string $prefix): self
    {
        return match (true) {
            $prefix === '' => $this,
            $this->path === '' => new self($prefix, $this->getMessage()),
            default => new self($prefix.'.'.$this->path, $this->getMessage()),
        };
    }

    /** @return array{error: array{path: string, message: string}} */
    public function toArray(): array
    {
        return ['error' => ['path' => $this->path, 'message' => $this->getMessage()]];
    }
}
