<?php

declare(strict_types=1);

namespace Tests\Browser;

use PHPUnit\Framework\TestCase;

/** A thread through the served application: one stage for a class, with who is to be seen on it. */
abstract class BrowserCase extends TestCase
{
    protected static Stage $stage;

    public static function setUpBeforeClass(): void
    {
        self::$stage = Stage::open();
        static::enter();
    }

    public static function tearDownAfterClass(): void
    {
        self::$stage->close();
    }

    /** Who comes on before the first test. */
    protected static function enter(): void {}

    /** Somebody signed in, at a desk or, 1024 wide, at a tablet. */
    protected static function visitor(string $login, bool $tablet = false, string $password = 'hangar-demo'): Visitor
    {
        return (
            new Visitor($tablet ? self::$stage->browser(1024, 768) : self::$stage->browser(), self::$stage->url)
        )->signIn($login, $password);
    }

    protected static function scalar(string $sql): string
    {
        return (string) self::$stage->database()->query($sql)->fetchColumn();
    }

    protected static function number(string $sql): int
    {
        return (int) self::scalar($sql);
    }

    /** @param callable(): bool $so */
    protected static function until(callable $so, int $seconds = 20): void
    {
        for ($i = 0; $i < 10 * $seconds && ! $so(); $i++) {
            usleep(100_000);
        }
        self::assertTrue($so());
    }
}
