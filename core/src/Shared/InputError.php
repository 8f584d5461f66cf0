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

    /** A number below 0 where none may be: `must be at least 0`. @pure */
    public static function negative(string $path): self
    {
        return new self($path, 'must be at least 0');
    }

    /** 0 or below: `must be greater than 0`. @pure */
    public static function notPositive(string $path): self
    {
        return new self($path, 'must be greater than 0');
    }

    /** A text or a list without anything in it. @pure */
    public static function empty(string $path): self
    {
        return new self($path, 'must not be empty');
    }

    /**
     * A name that nothing there bears: `"x9" is not one of the points`.
     *
     * @param string $of what it should be one of, in the plural
     * @param string|null $name as it was given; null where the path says it
     *
     * @pure
     */
    public static function notAmong(string $path, string $of, ?string $name = null): self
    {
        return new self($path, ($name === null ? '' : "\"{$name}\" ")."is not one of the {$of}");
    }

    /** A name that two of them bear: `"fh" is used twice`. @pure */
    public static function usedTwice(string $path, string $name): self
    {
        return new self($path, "\"{$name}\" is used twice");
    }

    /** A range whose ends are the wrong way round. @pure */
    public static function reversed(string $path): self
    {
        return new self($path, 'has its min above its max');
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
