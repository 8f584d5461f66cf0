<?php

declare(strict_types=1);

namespace Tests\Browser\Shared;

use Facebook\WebDriver\WebDriverBy;
use PHPUnit\Framework\Attributes\DataProvider;
use Tests\Browser\BrowserCase;
use Tests\Browser\Visitor;

/** Screens fit for everybody (axe), by day and night, on desk and tablet; nothing from elsewhere. */
abstract class FitCase extends BrowserCase
{
    protected const LOGS = true;

    /** Asked of a screen by day; by night only its colours are others, at a tablet all but its colours. */
    private const CONTRAST = 'color-contrast';

    protected static Visitor $ines;

    protected static Visitor $oda;

    protected static function enter(): void
    {
        self::$ines = self::visitor('ines');
        self::$oda = self::visitor('oda', true);
    }

    /** @return iterable<string, array{string, string}> path, what is there when it is ready */
    abstract public static function screens(): iterable;

    #[DataProvider('screens')]
    final public function test_a_screen_is_fit_by_day_and_by_night_on_desk_and_tablet(string $path, string $ready): void
    {
        $path = strtr($path, [
            '{held}' => (string) self::number(
                'select c.id from cards c join visits v on v.id = c.visit_id join aircraft a on a.id = v.aircraft_id '
                    ."where c.title = 'Gear extension by hand pump' and a.mark = 'QC-TAC'",
            ),
            '{repeat}' => (string) self::number(
                "select id from findings where repeat_of is not null and number like 'F%'",
            ),
        ]);
        foreach ([
            [self::$ines, 'day', []],
            [self::$ines, 'night', ['runOnly' => ['type' => 'rule', 'values' => [self::CONTRAST]]]],
            [self::$oda, 'day', ['rules' => [self::CONTRAST => ['enabled' => false]]]],
        ] as [$who, $theme, $asks]) {
            $who->browser->executeScript("localStorage.setItem('jorvel.theme', arguments[0])", [$theme]);
            $who->go($path)->find($ready);
            $found = $this->unfit($who, $asks);
            self::assertSame([], $found, "{$path} by {$theme}");
            self::assertLessThanOrEqual(
                0,
                $who->browser->executeScript('return document.documentElement.scrollWidth - '
                    .'document.documentElement.clientWidth'),
                "{$path} is wider than its window",
            );
            self::assertSame(
                1,
                count($who->browser->findElements(WebDriverBy::cssSelector('h1'))),
                'one sentence first',
            );
        }
        self::$ines->browser->executeScript("localStorage.setItem('jorvel.theme', 'day')");
    }

    final public function test_not_one_request_leaves_the_machine(): void
    {
        $asked = 0;
        foreach ([self::$ines, self::$oda] as $who) {
            foreach ($who->browser->manage()->getLog('performance') as $entry) {
                $message = json_decode($entry['message'], true)['message'];
                $url = $message['params']['request']['url'] ?? '';
                if (
                    $message['method'] === 'Network.requestWillBeSent'
                    && preg_match('/^(data|blob|chrome|about):/', $url) !== 1
                ) {
                    $asked++;
                    self::assertStringStartsWith(self::$stage->url.'/', $url);
                }
            }
        }
        self::assertGreaterThan(30, $asked, 'the log was read');
    }

    /**
     * @param array<string, mixed> $asks of axe, in place of all that WCAG 2.2 AA asks
     *
     * @return list<string> what it finds serious or critical, with where it stands
     */
    final protected function unfit(Visitor $who, array $asks = []): array
    {
        $who->browser->executeScript(
            (string) file_get_contents(dirname(__DIR__, 3).'/node_modules/axe-core/axe.min.js'),
        );

        return $who->browser->executeAsyncScript(<<<'JS'
            const [asks, done] = arguments;
            const rules = ['wcag2a', 'wcag2aa', 'wcag21a', 'wcag21aa', 'wcag22aa'];
            axe.run({ runOnly: rules, ...asks }).then(r => done(r.violations
                .filter(v => ['serious', 'critical'].includes(v.impact))
                .map(v => v.id + ': ' + v.nodes.slice(0, 3)
                    .map(n => n.html.slice(0, 160) + ' ' + (n.any[0]?.message ?? '')).join(' | '))));
            JS, [(object) $asks]);
    }
}
