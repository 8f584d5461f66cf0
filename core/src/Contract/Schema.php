<?php

declare(strict_types=1);

namespace Jorvel\Core\Contract;

use Jorvel\Core\Shared\InputError;
use Opis\JsonSchema\Errors\ErrorFormatter;
use Opis\JsonSchema\Errors\ValidationError;
use Opis\JsonSchema\Validator;

/** A JSON Schema file, and the first thing a value has against it, with the place where it stands. */
final class Schema
{
    private const PREFIX = 'jorvel:/';

    /** Faults of one value that are listed. */
    private const MOST = 50;

    /** @var array<int, Validator> by the number of faults they look for */
    private static array $validators = [];

    /**
     * @param string $name a file under core/schema, without its ending
     *
     * @throws InputError
     */
    public static function check(string $name, mixed $data): void
    {
        $error = self::validate($name, $data, 1);
        if ($error !== null) {
            throw self::leaves($error)[0] ?? self::leaf($error);
        }
    }

    /**
     * Everything a value has against it, in the order of the schema.
     *
     * @param string $name as for {@see check()}
     *
     * @return list<InputError>
     */
    public static function faults(string $name, mixed $data): array
    {
        $error = self::validate($name, $data, self::MOST);

        return $error === null ? [] : self::leaves($error);
    }

    private static function validate(string $name, mixed $data, int $most): ?ValidationError
    {
        $validator = self::$validators[$most] ??= self::validator($most);

        return $validator->validate($data, self::PREFIX.$name.'.json')->error();
    }

    private static function validator(int $most): Validator
    {
        $validator = new Validator(null, $most, $most === 1);
        $validator->resolver()?->registerPrefix(self::PREFIX, dirname(__DIR__, 2).'/schema');

        return $validator;
    }

    /** @return list<InputError> */
    private static function leaves(ValidationError $error): array
    {
        $under = [];
        foreach ($error->subErrors() as $sub) {
            $under = [...$under, ...self::leaves($sub)];
        }

        return match (true) {
            $error->subErrors() !== [] => $under,
            $error->keyword() === 'additionalProperties' => self::additional($error),
            $error->keyword() === 'required' => self::missing($error),
            default => [self::leaf($error)],
        };
    }

    /**
     * Fields that the schema does not know; one that it knows and that has a fault of its own is not among them.
     *
     * @return list<InputError>
     */
    private static function additional(ValidationError $error): array
    {
        $known = array_keys(get_object_vars((object) ($error->schema()->info()->data()->properties ?? [])));
        $path = implode('.', $error->data()->fullPath());
        $unknown = array_values(array_diff(array_map(strval(...), (array) $error->args()['properties']), $known));

        return array_map(
            static fn(string $field): InputError => InputError::unknown($path === '' ? $field : $path.'.'.$field),
            $unknown,
        );
    }

    /** @return list<InputError> */
    private static function missing(ValidationError $error): array
    {
        $path = $error->data()->fullPath();

        return array_map(
            static fn(string $field): InputError => InputError::missing(implode('.', [...$path, $field])),
            array_values((array) $error->args()['missing']),
        );
    }

    private static function leaf(ValidationError $error): InputError
    {
        $path = implode('.', $error->data()->fullPath());
        $args = $error->args();
        $under = static fn(string $field): string => $path === '' ? $field : $path.'.'.$field;
        $list = static fn(mixed $values): string => implode(
            ', ',
            array_map(
                static fn(mixed $v): string => json_encode($v, JSON_UNESCAPED_UNICODE) ?: '',
                is_array($values) ? $values : [$values],
            ),
        );

        return match ($error->keyword()) {
            'type' => InputError::at($path, 'must be '.self::article($args['expected'])),
            'enum' => InputError::at($path, 'must be one of '.$list($error->schema()->info()->data()->enum ?? [])),
            'const' => InputError::at($path, 'must be '.$list($error->schema()->info()->data()->const ?? null)),
            'minimum' => InputError::at($path, "must be at least {$args['min']}"),
            'maximum' => InputError::at($path, "must be at most {$args['max']}"),
            'exclusiveMinimum' => InputError::at($path, "must be greater than {$args['min']}"),
            'minLength' => InputError::empty($path),
            'propertyNames' => InputError::at($path, 'has an empty name'),
            'minItems', 'maxItems' => InputError::at($path, 'must have '.($args['min'] ?? $args['max']).' entries'),
            'uniqueItems' => InputError::at($path, 'has the same entry twice'),
            'maxLength' => InputError::at($path, "has {$args['length']} characters; at most {$args['max']}"),
            'pattern' => InputError::at(
                $path,
                'must be '.($error->schema()->info()->data()->{'$comment'} ?? 'of the form '.$args['pattern']),
            ),
            default => InputError::at($path, rtrim((new ErrorFormatter)->formatErrorMessage($error), '.')),
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
