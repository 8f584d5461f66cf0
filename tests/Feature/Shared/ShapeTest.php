<?php

declare(strict_types=1);

namespace Tests\Feature\Shared;

use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use RecursiveDirectoryIterator;
use RecursiveIteratorIterator;
use SplFileInfo;
use Tests\Architecture;

/** The shape of the code, where static analysis cannot see it. */
final class ShapeTest extends TestCase
{
    public function test_no_two_rooms_use_each_other(): void
    {
        $above = [];
        foreach (Architecture::USES as $room => $uses) {
            self::assertSame([], array_diff($uses, $above), "{$room} uses only rooms above it in the list");
            $above[] = $room;
        }
        $rooms = array_diff(scandir(dirname(__DIR__, 3).'/app') ?: [], ['.', '..', 'Console', 'Now', 'Shared']);
        self::assertEqualsCanonicalizing(array_values($rooms), $above);
    }

    /**
     * @return iterable<string, array{string, string, list<string>}> a pattern, where it is looked for, and the only
     *   files in which it may stand
     */
    public static function makers(): iterable
    {
        yield 'an aircraft\'s flying' => [
            '/\bFlying(Plan)?::of\(/', 'app',
            ['app/Now/LoadFlying.php', 'app/Console/Bench.php', 'app/Console/LargeFigures.php'],
        ];
        yield 'the picture of a card' => ['/new CardNow\(/', 'app', ['app/Now/LoadCard.php']];
        yield 'what is at an aircraft' => ['/new OnAircraft\(/', 'app', ['app/Now/LoadOnAircraft.php']];
        yield 'the picture of an aircraft' => ['/new AircraftNow\(/', 'app', ['app/Now/LoadAircraft.php']];
        yield 'the picture of a visit' => ['/new (VisitNow|CardInVisit)\(/', 'app', ['app/Now/LoadVisit.php']];
        yield 'the terms of a deferral' => ['/\bTerms::of\(/', 'app', ['app/Now/LoadDeferral.php']];
        yield 'the picture of the crew' => ['/new PersonNow\(/', 'app', ['app/Now/LoadCrew.php']];
        yield 'environment, outside of the settings' => ['/\benv\(/', 'app', []];
        yield 'a debugger\'s leavings' => ['/\b(dd|dump|var_dump|print_r)\(/', 'app', []];
    }

    /** @param list<string> $allowed */
    #[DataProvider('makers')]
    public function test_each_has_one_maker(string $pattern, string $folder, array $allowed): void
    {
        $found = array_keys(array_filter(
            self::files($folder, 'php'),
            static fn(string $code): bool => preg_match($pattern, $code) === 1,
        ));
        self::assertSame([], array_values(array_diff($found, $allowed)));
        self::assertSame([], array_values(array_diff($allowed, $found)), 'the list is not longer than it must be');
    }

    /** @return array<string, string> contents by path from the root */
    private static function files(string $folder, string $ending): array
    {
        $root = dirname(__DIR__, 3);
        $files = [];
        foreach (new RecursiveIteratorIterator(
            new RecursiveDirectoryIterator("{$root}/{$folder}", RecursiveDirectoryIterator::SKIP_DOTS),
        ) as $file) {
            if ($file instanceof SplFileInfo && $file->getExtension() === $ending) {
                $files[substr($file->getPathname(), strlen($root) + 1)] = (string) file_get_contents(
                    $file->getPathname(),
                );
            }
        }
        ksort($files);

        return $files;
    }
}
