<?php

declare(strict_types=1);

namespace Jorvel\Core\Library;

use Jorvel\Core\Shared\InputError;

/** Yes or no, worked out from names that are yes or no: `normal and (pump or fall)`. */
final readonly class Condition
{
    /** @param list<string> $names that it uses, each once */
    private function __construct(public string $text, public array $names) {}

    /**
     * @throws InputError with the empty path for what is no condition, or asks for more than names
     *
     * @pure
     */
    public static function of(string $text): self
    {
        if (preg_match('/^[a-z0-9_\s()]{1,200}$/D', $text) !== 1) {
            throw InputError::at('', 'must be names of steps with and, or, not between them');
        }
        preg_match_all('/\b[a-z_][a-z0-9_]*\b/', $text, $found);
        $names = array_values(array_unique(array_diff($found[0], ['and', 'or', 'not'])));
        if ($names === []) {
            throw InputError::at('', 'names no step');
        }
        Expression::check($text, $names, 'condition');

        return new self($text, $names);
    }

    /**
     * @param array<string, bool> $values by name; what is not there is no
     *
     * @pure
     */
    public function holds(array $values): bool
    {
        return (bool) Expression::evaluate(
            $this->text,
            [...array_fill_keys($this->names, false), ...$values],
        );
    }
}
