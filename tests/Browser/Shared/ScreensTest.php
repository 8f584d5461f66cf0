<?php

declare(strict_types=1);

namespace Tests\Browser\Shared;

use Facebook\WebDriver\WebDriverBy;
use Facebook\WebDriver\WebDriverKeys;
use Tests\Browser\BrowserCase;
use Tests\Browser\Visitor;

/** By keyboard, tables and themes; and the mishaps of a working day. */
final class ScreensTest extends BrowserCase
{
    private static Visitor $ines;

    private static Visitor $oda;

    protected static function enter(): void
    {
        self::$ines = self::visitor('ines');
        self::$oda = self::visitor('oda', true);
    }

    public function test_rooms_and_aircraft_are_reached_by_keyboard_alone(): void
    {
        $ines = self::$ines->go('/fleet');
        $ines->find('[data-mark]');
        $keys = static fn(string ...$keys)
            => array_map(static fn(string $k) => $ines->browser->getKeyboard()->sendKeys($k), $keys);
        $keys('g', 'd');
        $ines->find('[data-deferral]');
        $keys('/');
        $ines->find('[cmdk-input]');
        $keys('vfe', WebDriverKeys::ENTER);
        $ines->see('Crew oxygen bottle check');
        self::assertStringEndsWith('/fleet/QA-VFE', $ines->browser->getCurrentURL());
        $keys('?');
        $ines->see('go anywhere, do anything');
        $keys(WebDriverKeys::ESCAPE);
        $keys('g', 'f');
        $ines->find('[data-mark]');
        $second = $ines->browser->findElements(WebDriverBy::cssSelector('[data-mark]'))[1]->getAttribute('data-mark');
        $keys('j', 'p');
        $ines->see("{$second} ·");
        self::assertStringEndsWith("/fleet/{$second}", $ines->browser->getCurrentURL());
    }

    public function test_controls_at_the_aircraft_are_made_for_gloves(): void
    {
        $oda = self::$oda->go('/floor');
        $oda->see('Mine');
        $small = "return [...document.querySelectorAll('main button, main a, main select, main input')].filter(e => "
            ."e.offsetParent !== null && !e.closest('p, h2, dl')).map(e => [e.innerText || e.name, "
            ."Math.round((e.closest('label') ?? e).getBoundingClientRect().height)]).filter(([, h]) => h < 47)";
        self::assertSame([], $oda->browser->executeScript($small));
        $card = (int) self::$stage->database()->query(
            'select c.id from cards c join assignments a on a.card_id = c.id join people p on p.id = '
                    ."a.person_id where p.login = 'oda' and c.state = 'in_work' order by c.id",
        )->fetchColumn();
        $oda->go("/floor/{$card}")->find('[data-testid="step-3"]');
        self::assertSame([], $oda->browser->executeScript($small), 'on a card, with a reading to enter');
        self::assertSame(
            'entry',
            $oda->browser->executeScript('return document.activeElement.name'),
            'the field is ready to type into',
        );
    }

    public function test_a_table_sorts_filters_hides_columns_and_gives_csv(): void
    {
        $ines = self::$ines->go('/stores');
        $ines->find('table');
        $codes = static fn(): array => $ines->browser->executeScript(
            "return [...document.querySelectorAll('tbody tr td:nth-child(2)')].map(c => c.innerText)",
        );
        $before = $codes();
        self::assertSame(
            ['CT-03', 'PG-27', 'PG-31', 'TW-104', 'TW-117'],
            array_slice($before, 0, 5),
            'what must not be used comes first',
        );
        $ines->press('Tool', '//thead');
        $sorted = $before;
        sort($sorted);
        self::assertSame($sorted, $codes());
        $ines->press('Tool', '//thead');
        self::assertSame(array_reverse($sorted), $codes());
        $ines->find('input[aria-label="Filter tools"]')->sendKeys('gauge');
        $ines->see(' of '.count($before));
        $gauges = $codes();
        self::assertSame(
            [],
            array_values(array_filter($gauges, static fn(string $c): bool => preg_match('/^(PG|FG|DG)-/', $c) !== 1)),
        );
        self::assertContains('FG-11', $gauges);
        $ines->browser->executeScript(
            'window.saved = null; const make = URL.createObjectURL; URL.createObjectURL = b => { b.text().then(t => '
                .'{ window.saved = t; }); return make(b); }',
        );
        $ines->press('CSV');
        $ines->browser->wait(5, 100)->until(
            static fn(): bool => $ines->browser->executeScript('return window.saved') !== null,
        );
        $csv = explode("\r\n", (string) $ines->browser->executeScript('return window.saved'));
        self::assertStringStartsWith('State,Tool,What', $csv[0]);
        self::assertCount(count($gauges) + 2, $csv, 'a head, the gauges, and the end of the last line');
        $ines->click('summary:not(header summary)');
        $ines->browser->findElement(WebDriverBy::xpath('//details//label[contains(., "Range")]'))->click();
        self::assertNotContains(
            'Range',
            $ines->browser->executeScript("return [...document.querySelectorAll('th')].map(c => c.innerText)"),
        );
    }

    public function test_the_theme_stays_and_the_print_leaves_out_what_is_not_paper(): void
    {
        $ines = self::$ines->go('/fleet');
        $ines->find('[data-mark]');
        $ines->browser->getKeyboard()->sendKeys('n');
        $theme = static fn(): string
            => (string) $ines->browser->executeScript('return document.documentElement.dataset.theme');
        $seen = [$theme()];
        $ines->go('/crew')->find('table');
        $seen[] = $theme();
        $ines->browser->getKeyboard()->sendKeys('n');
        self::assertSame(['night', 'night', 'day'], [...$seen, $theme()]);
        $ines->browser->executeCustomCommand('/session/:sessionId/goog/cdp/execute', 'POST', [
            'cmd' => 'Emulation.setEmulatedMedia', 'params' => ['media' => 'print'],
        ]);
        foreach (['nav', 'header', '.noprint'] as $screen) {
            self::assertSame(
                'none',
                $ines->browser->executeScript("return getComputedStyle(document.querySelector('{$screen}')).display"),
                $screen,
            );
        }
        self::assertTrue($ines->find('table')->isDisplayed());
        $ines->browser->executeCustomCommand('/session/:sessionId/goog/cdp/execute', 'POST', [
            'cmd' => 'Emulation.setEmulatedMedia', 'params' => ['media' => ''],
        ]);
    }

    public function test_a_viewer_sees_everything_and_is_offered_nothing(): void
    {
        $mika = self::visitor('mika');
        $offers = [
            '/fleet' => 'Plan ', '/fleet/QA-VFC' => 'Make a visit', '/visits/1' => 'Assign',
            '/visits/1/board' => 'Search for', '/visits/1/window' => 'Judge it', '/visits/season' => 'Propose a season',
            '/visits/bays' => 'Open a free slot', '/library' => 'Bring in',
            '/fleet/QA-VFD?view=flying' => 'Enter a day', '/fleet/QA-VFD?view=components' => 'move',
            '/fleet/what-if' => 'Try it', '/fleet/calendar' => 'Make a link', '/fleet/bottles' => 'Enter a reading',
            '/library/programme/SKV' => 'Choose an item', '/floor/1' => 'Something is wrong',
            '/release/1' => 'Sign the release', '/crew' => 'Days of', '/crew/people/2' => 'Renew',
            '/stores/parts' => 'Enter a part', '/stores/parts/JV-3242-11' => 'Take goods in',
            '/crew/shift' => 'Save this crew', '/library/manuals/BM-TRK' => 'I read it again',
            '/stores/tools/CT-03' => 'Open all', '/stores/out' => 'Counted in', '/floor/findings/14' => 'Add a photo',
        ];
        foreach ($offers as $path => $words) {
            self::assertStringNotContainsString(
                $words,
                $mika->go($path)->see('Fleet')->find('h1, [data-step]')->getText().$mika->text(),
                $path,
            );
        }
    }

    public function test_two_people_on_one_card_and_a_lost_connection(): void
    {
        $database = self::$stage->database();
        $number = static fn(string $sql): int => (int) $database->query($sql)->fetchColumn();
        $card = $number(
            'select c.id from cards c join assignments a on a.card_id = c.id join people p on p.id = a.person_id '
                ."where p.login = 'oda' and c.state = 'in_work' order by c.id",
        );
        $other = self::visitor('oda');
        $oda = self::$oda->go("/floor/{$card}");
        $oda->find('[data-testid="step-3"]');
        $other->go("/floor/{$card}")->find('[data-testid="step-3"]');

        // The connection drops in mid-card: two steps are confirmed, kept on the tablet and marked as waiting.
        $oda->tool('TW-108')->type('entry', '26')->see('inside, 2 N·m in hand');
        $this->connection($oda, false);
        $oda->press('Save the reading')->find('[data-testid="step-4"]');
        $oda->press('Done')->find('[data-testid="step-5"]');
        $oda->see('2 steps wait on this device');
        self::assertSame(['waiting', 'waiting'], [
            $oda->find('[data-step="3"]')->getAttribute('data-state'),
            $oda->find('[data-step="4"]')->getAttribute('data-state'),
        ]);
        self::assertSame(
            0,
            $number("select count(*) from readings where card_id = {$card}"),
            'nothing has left the tablet',
        );

        // It comes back: both are sent by themselves, in their order, once each.
        $this->connection($oda, true);
        self::until(
            static fn(): bool
                => $number(
                    "select count(*) from steps where card_id = {$card} and no in (3, 4) and state = 'done'",
                ) === 2,
        );
        self::until(
            static fn(): bool
                => $oda->browser->findElements(WebDriverBy::cssSelector('[data-testid="waiting-here"]')) === [],
        );
        self::assertSame([1, 1, 1], [
            $number("select count(*) from readings where card_id = {$card}"),
            $number(
                "select count(*) from records where what = 'step.done' and subject = 'card:{$card}' and data like '%\"step\":3%'",
            ),
            $number(
                "select count(*) from records where what = 'step.done' and subject = 'card:{$card}' and data like '%\"step\":4%'",
            ),
        ]);
        self::assertSame('done', $oda->find('[data-step="3"]')->getAttribute('data-state'));

        // The other still sees step 3; being second is said, and what was typed is still there.
        $other->tool('TW-108')->type('entry', '25')->press('Save the reading')
            ->see('Somebody else changed this card while you had it open')->see('not yet sent: 25');
        self::assertSame(1, $number("select count(*) from readings where card_id = {$card}"));

        // Without a connection again, and somebody else is faster: told when it is back, nothing overwritten, nothing
        // lost.
        $oda->find('[data-testid="step-5"]');
        $this->connection($oda, false);
        $oda->press('Done')->see('1 step waits on this device');
        $oda->browser->executeScript('window.stop()');
        $other->go("/floor/{$card}")->find('[data-testid="step-5"]');
        $other->press('Done')->find('[data-testid="step-6"]');
        $this->connection($oda, true);
        $oda->see('was not worked. Somebody else changed this card');
        self::assertSame(1, $number(
            "select count(*) from records where what = 'step.done' and subject = 'card:{$card}' and data like "
                ."'%\"step\":5%'",
        ));
        $oda->press('Drop my entry');
        self::until(
            static fn(): bool
                => $oda->browser->findElements(WebDriverBy::cssSelector('[data-testid="waiting-here"]')) === [],
        );

        // A reload in mid-card loses no confirmed step.
        $oda->browser->navigate()->refresh();
        $oda->find('[data-testid="step-6"]');
        self::assertSame('done', $oda->find('[data-step="3"]')->getAttribute('data-state'));

        // Taken back with a reason, the first reading stays in the record.
        $oda->click('[data-step="3"]')->press('Take this step back');
        $oda->find('input[aria-label="Why it is taken back"]')->sendKeys('wrench slipped');
        $oda->press('Take back')->find('[data-testid="step-3"] input[name="entry"]');
    }

    public function test_a_session_that_ran_out_asks_to_sign_in_over_the_page(): void
    {
        $oda = self::$oda->go('/floor');
        $oda->see('Mine');
        self::$stage->database()->exec('delete from sessions');
        // The page asks of itself now and then, and may have noticed already.
        $oda->browser->executeScript('document.querySelector(`nav a[href="/crew"]`).click()');
        $oda->see('You were signed out. What you typed is still on the page behind this.');
        $oda->type('login', 'oda')->type('password', 'hangar-demo')->press('Sign in');
        self::assertTrue($oda->find('table')->isDisplayed());
    }

    private function connection(Visitor $who, bool $there): void
    {
        $who->browser->executeCustomCommand(
            '/session/:sessionId/chromium/network_conditions',
            'POST',
            [
                'network_conditions' => [
                    'offline' => ! $there, 'latency' => 0, 'download_throughput' => -1, 'upload_throughput' => -1,
                ],
            ],
        );
    }
}
