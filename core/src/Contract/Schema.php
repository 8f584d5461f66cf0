<?php

declare(strict_types=1);

namespace Jorvel\Core\Contract;

use Jorvel\Core\Shared\InputError;
use Opis\JsonSchema\Errors\ValidationError;
use Opis\JsonSchema\Validator;

/** A JSON Schema file, and the first thing a value has against it, with the place where it stands. */
final class Schema
{
    private const PREFIX = 'jorvel:/';

    private static ?Validator $validator = null;

    /**
     * @param string $name a file under core/schema, without its ending
     *
     * @throws InputError
     */
    public static function check(string $name, mixed $data): void
    {
        if (self::$validator === null) {
            self::$validator = new Validator;
            self::$validator->resolver()?->registerPrefix(self::PREFIX, dirname(__DIR__, 2).'/schema');
        }
        $error = self::$validator->validate($data, self::PREFIX.$name.'.json')->error();
        if ($error !== null) {
            throw self::first($error);
        }
    }

    private static function first(ValidationError $error): InputError
    {
        while ($error->subErrors() !== []) {
            $error = $error->subErrors()[0];
        }
        $path = implode('.', $error->data()->fullPath());
        $args = $error->args();
        $under = static fn(string $field): string => $path === '' ? $field : $path.'.'.$field;
        $list = static fn(mixed $values): string => implode(', ', array_map(static fn(mixed $v): string => json_encode($v, JSON_UNESCAPED_UNICODE) ?: '', is_array($values) ? $values : [$values]));

        return match ($error->keyword()) {
            'required' => InputError::missing($under((string) (array_values((array) $args['missing'])[0] ?? ''))),
            'additionalProperties' => InputError::unknown($under((string) (array_values((array) $args['properties'])[0] ?? ''))),
            'type' => InputError::at($path, 'must be '.self::article($args['expected'])),
            'enum' => InputError::at($path, 'must be one of '.$list($error->schema()->info()->data()->enum ?? [])),
            'const' => InputError::at($path, 'must be '.$list($error->schema()->info()->data()->const ?? null)),
            'minimum' => InputError::at($path, "must be at least {$args['min']}"),
            'maximum' => InputError::at($path, "must be at most {$args['max']}"),
            'exclusiveMinimum' => InputError::at($path, "must be greater than {$args['min']}"),
            'minLength' => InputError::at($path, 'must not be empty'),
            'propertyNames' => InputError::at($path, 'has an empty name'),
            'minItems', 'maxItems' => InputError::at($path, 'must have '.($args['min'] ?? $args['max']).' entries'),
            'uniqueItems' => InputError::at($path, 'has the same entry twice'),
            default => InputError::at($path, rtrim($error->message(), '.')),
        };
    }

    private static function article(mixed $types): string
    {
        return implode(' or ', array_map(static fn(string $t): string => match ($t) {
            'integer' => 'a whole number',
            'array' => 'a list',
            'object' => 'an object',
            'boolean' => 'true or false',
            'string' => 'a text',
            default => "a {$t}",
        }, (array) $types));
    }
}
