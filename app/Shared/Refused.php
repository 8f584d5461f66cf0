<?php

declare(strict_types=1);

namespace App\Shared;

/** Something the rules of the work do not allow, with the reason in words the person can act on. Answered as 422. */
final class Refused extends \DomainException
{
    /** @param array<string, mixed> $extra further fields of the answer */
    private function __construct(string $message, public readonly int $status = 422, public readonly array $extra = [])
    {
        parent::__construct($message);
    }

    public static function because(string $reason): self
    {
        return new self($reason);
    }

    /**
     * Every line of a file that is wrong.
     *
     * @param list<array{line: string, message: string}> $lines
     */
    public static function lines(string $reason, array $lines): self
    {
        return new self($reason, 422, ['lines' => $lines]);
    }

    /**
     * Nothing forbids it, but it is not done until the sender says that it is meant: the same again, with `sure`.
     *
     * @param non-empty-list<string> $points what to look at
     */
    public static function ask(string $reason, array $points): self
    {
        return new self($reason, 422, ['asked' => $points]);
    }

    /** Of a file's faults, so many are listed; the rest are counted. */
    private const MOST = 200;

    /**
     * A file of which something is wrong, and which is therefore refused whole.
     *
     * @param non-empty-list<array{line: string, message: string}> $lines
     * @param string $what is counted: `line` or `item`
     */
    public static function file(array $lines, string $what): self
    {
        $many = count($lines);
        $said = ($many === 1 ? "One {$what} is wrong." : "{$many} {$what}s are wrong.")
            .' The whole file was refused and nothing was changed.';
        if ($many > self::MOST) {
            $said .= ' The first '.self::MOST.' are listed, '.($many - self::MOST).' more are not.';
        }

        return self::lines($said, array_slice($lines, 0, self::MOST));
    }

    /** Somebody else was faster; what was sent is not lost, the sender still holds it. */
    public static function stale(string $reason, mixed $current): self
    {
        return new self($reason, 409, ['current' => $current]);
    }
}
