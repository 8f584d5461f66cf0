<?php

declare(strict_types=1);

namespace Tests\Browser;

use PHPUnit\Framework\TestCase;

/** A thread through the served application: one stage for a class, with who is to be seen on it. */
abstract class BrowserCase extends TestCase
{
    /** Whether what its browsers ask for is logged. */
    protected const LOGS = false;

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
        $size = $tablet ? [1024, 768] : [1280, 800];

        return (
            new Visitor(self::$stage->browser(...$size, logs: static::LOGS), self::$stage->url)
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

    /**
     * A visit on the line from Tue 5 May with a card of each of these codes, all of them one person's.
     *
     * @param list<string> $codes
     * @return list<int> the cards, in the order of their codes
     */
    protected static function visit(Visitor $who, string $title, string $mark, array $codes, string $worker): array
    {
        // A visit begins with an item that is due; what the thread works comes beside it.
        $item = self::number("select i.id from programme_items i join aircraft_types t on t.id = i.type_id
            where i.code = '61-21' and t.code = 'SKV'");
        $who->post('visits', [
            'mark' => $mark, 'title' => $title, 'bay' => 'line', 'start' => '2026-05-05', 'end' => '2026-05-06',
            'items' => [$item],
        ]);
        $visit = self::number("select id from visits where title = '{$title}'");
        $person = self::number("select id from people where login = '{$worker}'");
        $cards = [];
        foreach ($codes as $code) {
            $template = self::number("select id from card_templates where code = '{$code}'");
            $who->post("visits/{$visit}/cards", ['template' => $template]);
            $cards[] = $card = self::number("select max(id) from cards where visit_id = {$visit}");
            $who->post("cards/{$card}/assignments", ['person' => $person, 'role' => 'perform']);
        }

        return $cards;
    }

    /** @param callable(): bool $so */
    protected static function until(callable $so, int $seconds = 60): void
    {
        for ($i = 0; $i < 10 * $seconds && ! $so(); $i++) {
            usleep(100_000);
        }
        self::assertTrue($so());
    }
}
