<?php

declare(strict_types=1);

namespace Tests\Feature\Shared;

use App\Crew\Model\Role;
use App\Shared\Http\RequestSchema;
use Illuminate\Validation\Rule;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** What the rules of a request amount to in the API's description. */
final class RequestSchemaTest extends TestCase
{
    /**
     * @param array<string, mixed> $rules
     * @param array<string, mixed> $properties
     * @param list<string> $required
     */
    #[DataProvider('rules')]
    public function test_rules_are_a_schema(array $rules, array $properties, array $required): void
    {
        $schema = RequestSchema::of($rules, ['a' => 'what it is']);
        self::assertEquals($properties, array_map(
            static fn(array $p): array => array_diff_key($p, ['description' => 0]),
            $schema['properties'],
        ));
        self::assertSame($required, $schema['required'] ?? []);
        self::assertSame('what it is', $schema['properties']['a']['description']);
    }

    /** @return iterable<string, array{array<string, mixed>, array<string, mixed>, list<string>}> */
    public static function rules(): iterable
    {
        yield 'plain' => [
            ['a' => 'required|integer|min:1', 'b' => 'sometimes|boolean', 'c' => 'present|nullable|numeric|gt:0'],
            ['a' => ['type' => 'integer'], 'b' => ['type' => 'boolean'], 'c' => ['type' => ['number', 'null']]],
            ['a', 'c'],
        ];
        yield 'one of few' => [
            ['a' => 'nullable|in:x,y', 'b' => ['required', Rule::in(['p', 'q'])], 'c' => [Rule::enum(Role::class)]],
            [
                'a' => ['type' => ['string', 'null'], 'enum' => ['x', 'y', null]],
                'b' => ['type' => 'string', 'enum' => ['p', 'q']],
                'c' => ['type' => 'string', 'enum' => array_column(Role::cases(), 'value')],
            ],
            ['b'],
        ];
        yield 'a list, a map and an object' => [
            [
                'a' => 'required|list', 'a.*' => 'integer', 'b' => 'array', 'b.*' => 'list', 'b.*.*' => 'numeric',
                'c' => 'sometimes|array:x,y', 'c.x' => 'required_with:c|in:l,r', 'c.y' => 'required_with:d|string',
            ],
            [
                'a' => ['type' => 'array', 'items' => ['type' => 'integer']],
                'b' => [
                    'type' => 'object', 'additionalProperties' => ['type' => 'array', 'items' => ['type' => 'number']],
                ],
                'c' => [
                    'type' => 'object', 'required' => ['x'],
                    'properties' => ['x' => ['type' => 'string', 'enum' => ['l', 'r']], 'y' => ['type' => 'string']],
                ],
            ],
            ['a'],
        ];
    }
}
