<?php

declare(strict_types=1);

namespace Jorvel\Core\Tests\Contract;

use Jorvel\Core\Contract\Door;
use Jorvel\Core\Contract\Kinds;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** The worked examples are the documentation, and they hold. */
final class ExamplesTest extends TestCase
{
    /** @return iterable<string, array{string, string}> */
    public static function examples(): iterable
    {
        foreach (array_keys(Kinds::all()) as $kind) {
            foreach (glob(dirname(__DIR__, 2)."/examples/{$kind}/*.json") ?: [] as $path) {
                yield $kind.'/'.basename($path, '.json') => [$kind, $path];
            }
        }
    }

    #[DataProvider('examples')]
    public function test_it_holds(string $kind, string $path): void
    {
        $example = json_decode((string) file_get_contents($path), false, 512, JSON_THROW_ON_ERROR);
        $answer = json_decode(
            Door::compute($kind, (string) json_encode($example->input)),
            false,
            512,
            JSON_THROW_ON_ERROR,
        );
        // What is found by draws is within so much of what it is; another way to draw may stand in its place.
        foreach ($example->within ?? [] as $field => $within) {
            self::assertEqualsWithDelta($example->expect->{$field}, $answer->{$field}, $within, $field);
            unset($example->expect->{$field}, $answer->{$field});
        }
        self::assertEqualsWithDelta($example->expect, $answer, 1e-9);
    }

    public function test_every_kind_has_a_schema_and_at_least_two_examples(): void
    {
        foreach (array_keys(Kinds::all()) as $kind) {
            self::assertFileExists(dirname(__DIR__, 2)."/schema/{$kind}.json");
            self::assertGreaterThanOrEqual(2, count(glob(dirname(__DIR__, 2)."/examples/{$kind}/*.json") ?: []), $kind);
        }
    }
}
