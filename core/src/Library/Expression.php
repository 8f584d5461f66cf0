<?php

declare(strict_types=1);

namespace Jorvel\Core\Library;

use Jorvel\Core\Shared\InputError;
use Symfony\Component\ExpressionLanguage\ExpressionFunction;
use Symfony\Component\ExpressionLanguage\ExpressionLanguage;
use Symfony\Component\ExpressionLanguage\SyntaxError;

/**
 * A number that is worked out from others: `found - 2.5`, `max(left, right)`, `last_droop`.
 *
 * Names are those of earlier steps of the card, and, behind `last_`, of the same steps on the last card of this kind on
 * the same aircraft. It knows + - * / % ( ), and `min`, `max`, `abs`, `round`.
 */
final readonly class Expression
{
    private const FUNCTIONS = ['min', 'max', 'abs', 'round'];

    /** @param list<string> $names that it uses, each once */
    private function __construct(public string $text, public array $names) {}

    /**
     * `Expression::of('found - 2.5')`.
     *
     * @throws InputError with the empty path for what is no expression, or asks for more than numbers
     *
     * @pure
     */
    public static function of(string $text): self
    {
        // Numbers, names, and what stands between them: nothing that reads or calls anything else.
        if (preg_match('/^[\w\s.,+\-*\/%()]{1,200}$/D', $text) !== 1) {
            throw InputError::at('', 'must be numbers and names of steps with + - * / between them');
        }
        preg_match_all('/\b[a-z_][a-z0-9_]*\b/i', $text, $found);
        $names = array_values(array_unique(array_diff($found[0], self::FUNCTIONS)));
        preg_match_all('/\b([a-z_]\w*)\s*\(/i', $text, $called);
        $unknown = array_values(array_diff($called[1], self::FUNCTIONS));
        if ($unknown !== []) {
            throw InputError::at('', "is no expression: there is no function \"{$unknown[0]}\"");
        }
        self::check($text, $names, 'expression');

        return new self($text, $names);
    }

    /**
     * @param array<string, float> $values by name, every one of {@see $names}
     *
     * @throws InputError for a name without a value, and for what comes to no number
     *
     * @pure
     */
    public function value(array $values): float
    {
        $missing = array_diff($this->names, array_keys($values));
        if ($missing !== []) {
            throw InputError::at('', 'needs '.implode(', ', $missing));
        }
        try {
            $value = self::evaluate($this->text, $values);
        } catch (\DivisionByZeroError) {
            throw InputError::at('', 'divides by 0');
        }
        if (! is_int($value) && ! is_float($value) || ! is_finite((float) $value)) {
            throw InputError::at('', 'comes to no number');
        }

        return (float) $value;
    }

    /**
     * @internal for {@see Condition}
     *
     * @param list<string> $names
     *
     * @throws InputError with the empty path
     */
    public static function check(string $text, array $names, string $as): void
    {
        try {
            self::language()->lint($text, $names);
        } catch (SyntaxError $e) {
            throw InputError::at('', "is no {$as}: ".rtrim($e->getMessage(), '.'));
        }
    }

    /**
     * @internal for {@see Condition}
     *
     * @param array<string, float|bool> $values
     */
    public static function evaluate(string $text, array $values): mixed
    {
        return self::language()->evaluate($text, $values);
    }

    private static function language(): ExpressionLanguage
    {
        static $language = null;
        if ($language === null) {
            $language = new ExpressionLanguage;
            foreach (self::FUNCTIONS as $name) {
                $language->addFunction(ExpressionFunction::fromPhp($name));
            }
        }

        return $language;
    }
}
