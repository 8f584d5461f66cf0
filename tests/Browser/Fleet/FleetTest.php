<?php

declare(strict_types=1);

namespace Tests\Browser\Fleet;

use Facebook\WebDriver\WebDriverBy;
use Facebook\WebDriver\WebDriverKeys;
use Tests\Browser\BrowserCase;
use Tests\Browser\Visitor;

/** A controller's day in the room Fleet, and a technician at a bottle, through the real interface. */
final class FleetTest extends BrowserCase
{
    private static Visitor $ines;

    protected static function enter(): void
    {
        self::$ines = self::visitor('ines');
    }

    /** Types into a date field, whatever order its parts stand in. */
    private function date(string $name, string $date): void
    {
        self::$ines->browser->executeScript(
            'const i = document.querySelector(`input[name=${arguments[0]}]`); '
                ."Object.getOwnPropertyDescriptor(HTMLInputElement.prototype, 'value').set.call(i, arguments[1]); "
                ."i.dispatchEvent(new Event('input', { bubbles: true }));",
            [$name, $date],
        );
    }

    public function test_by_keyboard_from_the_fleet_to_a_visit(): void
    {
        $ines = self::$ines->go('/fleet');
        $ines->find('[data-mark]');
        $ines->press('By base')->see('Port Ellery');
        $order = $ines->browser->executeScript("return [...document.querySelectorAll('[data-mark]')].map(e => "
            .'e.dataset.mark)');
        $ines->press('First to stop');
        self::assertCount(20, array_unique($order));
        foreach (['j', 'j', 'v'] as $key) {
            $ines->browser->getKeyboard()->sendKeys($key);
        }
        $ines->see('A visit for QA-VFC')->see('61-21')->see('Make the visit and its 1 card');
        $ines->browser->getKeyboard()->sendKeys(WebDriverKeys::ESCAPE);
        $ines->see('Make a visit of 1, 5 h');
    }

    public function test_flying_is_taken_from_the_programme_entered_by_hand_and_corrected(): void
    {
        $ines = self::$ines->go('/library');
        $ines->press('what was flown')->see('Applying this changes')->see('QA-VFC')->press('Apply')->see('Applied:');
        self::assertSame('2026-05-04', self::scalar("select counters_as_of from aircraft where mark = 'QA-VFC'"));
        $before = (float) self::scalar("select json_extract(counters, '$.fh') from aircraft where mark = 'QA-VFC'");
        $ines->go('/fleet/QA-VFC?view=flying')->press("Enter a day's flying");
        $ines->type('fh', '31')->type('ldg', '4')->press('Enter it')->see('31 hours do not fit into one day');
        // The day is not over: it is asked, and counted only when it is said to be meant.
        $ines->type('fh', '3,1')->press('Enter it')->see('is not over yet; is this all that it flies?');
        self::assertSame(
            (string) $before,
            (string) (float) self::scalar("select json_extract(counters, '$.fh') from aircraft where mark = 'QA-VFC'"),
        );
        $ines->click('[data-testid="asked"] input')->press('Enter it')->see('3.1 flight hours, 4 landings');
        self::assertEqualsWithDelta(
            $before + 3.1,
            (float) self::scalar("select json_extract(counters, '$.fh') from aircraft where mark = 'QA-VFC'"),
            1e-6,
        );
        $ines->see('5 May')->click('[data-flown="2026-05-05"] button');
        $ines->type('fh', '4.1')->type('reason', 'one sector left out')->press('Correct it')
            ->see('corrected: one sector left out');
        self::assertEqualsWithDelta(
            $before + 4.1,
            (float) self::scalar("select json_extract(counters, '$.fh') from aircraft where mark = 'QA-VFC'"),
            1e-6,
        );
        self::assertCount(
            2,
            $ines->browser->findElements(WebDriverBy::cssSelector('[data-flown="2026-05-05"]')),
            'what was entered first stays to be seen',
        );
        // The counter is read anew beside the history; it may come a moment later.
        $ines->browser->wait(25, 100)->until(
            static fn(): bool
                    => str_contains($ines->find('[data-counter="fh"]')->getText(), number_format($before + 4.1, 1)),
            'the counter moves with it',
        );
    }

    public function test_a_component_goes_to_the_store_and_back(): void
    {
        $ines = self::$ines->go('/fleet/QA-VFF?view=components');
        $row = $ines->find('[data-component]');
        $serial = (string) $row->getAttribute('data-component');
        $ines->press('move')->see("Move Brake accumulator {$serial}");
        $ines->type('position', 'shelf 4')->type('reason', 'weeps at the charging valve')->type('stamp', 'C01')
            ->type('pin', '1101');
        $ines->browser->findElement(WebDriverBy::xpath('//select[@name="tag"]/option[@value="serviceable"]'))
            ->click();
        $ines->press('Take it off')->see('7 components are fitted');
        $ines->press('Fit one from the store');
        $ines->browser->wait(25, 100)->until(static fn(): bool => (bool) $ines->browser->executeScript(
            "return [...document.querySelectorAll('select[name=component] option')].some(o => "
                    .'o.text.includes(arguments[0]))',
            [$serial],
        ));
        $ines->browser->executeScript(
            "const s = document.querySelector('select[name=component]'); s.value = [...s.options].find(o => "
                ."o.text.includes(arguments[0])).value; s.dispatchEvent(new Event('change', { bubbles: true }));",
            [$serial],
        );
        $ines->type('position', 'brake accumulator')->type('reason', 'new seal')->type('stamp', 'C01')
            ->type('pin', '1101')->press('Fit it')->see('8 components are fitted');
        $ines->press('Flying and history')->see('weeps at the charging valve');
        self::assertSame(
            '2',
            self::scalar(
                "select count(*) from tenures t join components c on c.id = t.component_id where c.serial = '{$serial}'",
            ),
            'both stays are kept',
        );
    }

    public function test_what_if_shows_both_and_saves_when_told(): void
    {
        $ines = self::$ines->go('/fleet/what-if?mark=QA-VFB');
        $ines->press('A visit slips')->find('input[name="start"]');
        $this->date('start', '2026-06-20');
        $this->date('end', '2026-06-24');
        $ines->press('Try it')->see('would be overdue: it cannot be saved so');
        self::assertNull($ines->browser->executeScript(
            "return [...document.querySelectorAll('button')].find(b => b.innerText === 'Save' && !b.disabled) ?? null",
        ));
        $ines->press('leave out')->see('Suppose a change');
        $ines->press('It flies more or less')->press('the same every day');
        $ines->type('rate-fh', '3,3')->press('Try it')->see('on QA-VFB; nothing is saved yet');
        self::assertSame('6.6', self::scalar("select json_extract(rates, '$.fh') from aircraft where mark = 'QA-VFB'"));
        self::assertNotEmpty(
            $ines->browser->findElements(WebDriverBy::cssSelector('[data-testid="what-if-QA-VFB"] svg')),
        );
        $ines->press('Save')->see('Saved.');
        self::assertSame('3.3', self::scalar("select json_extract(rates, '$.fh') from aircraft where mark = 'QA-VFB'"));
    }

    public function test_stagger_answers_how_many_weeks_and_how_many_hours(): void
    {
        $ines = self::$ines->go('/fleet/stagger');
        $heads = static fn(): int
            => count($ines->browser->findElements(WebDriverBy::cssSelector('[data-stagger="coast"] th')));
        $ines->find('[data-stagger="coast"]');
        self::assertCount(
            4 + 6 + 3,
            $ines->browser->findElements(WebDriverBy::cssSelector('[data-stagger="coast"] th')),
        );
        $ines->press('4 weeks');
        $ines->browser->wait(25, 100)->until(static fn(): bool => $heads() === 4 + 4 + 3);
        $total = static fn(): float => (float) $ines->browser->executeScript(<<<'JS'
            const cells = [...document.querySelectorAll('[data-stagger="coast"] tbody tr')].map(r => r.cells[8].innerText.replace(',', ''));
            return cells.reduce((sum, c) => sum + Number(c), 0);
            JS);
        self::assertEqualsWithDelta(480, $total(), 0.1, 'four weeks of 120 hours');
        $field = $ines->browser->findElement(
            WebDriverBy::xpath('//section[.//table[@data-stagger="coast"]]//input[@placeholder="120"]'),
        );
        $field->sendKeys('80'.WebDriverKeys::ENTER);
        $ines->browser->wait(25, 100)->until(static fn(): bool => abs($total() - 320) < 0.1, 'four weeks of 80 hours');
        self::assertNotEmpty(
            $ines->browser->findElements(WebDriverBy::cssSelector('svg[aria-label*="straight line"]')),
        );
    }

    public function test_a_planned_sector_is_cancelled(): void
    {
        $ines = self::$ines->go('/fleet/QC-TAA?view=flying');
        $number = (string) $ines->find('[data-sector]')->getAttribute('data-sector');
        $before = (int) self::scalar('select count(*) from sectors s join aircraft a on a.id = s.aircraft_id where '
            ."mark = 'QC-TAA'");
        $ines->click("[data-sector='{$number}'] button");
        $ines->browser->wait(25, 100)->until(
            static fn(): bool
                    => $ines->browser->findElements(WebDriverBy::cssSelector("[data-sector='{$number}']")) === [],
        );
        self::assertSame(
            (string) ($before - 1),
            self::scalar('select count(*) from sectors s join aircraft a on a.id = s.aircraft_id where mark = '
                ."'QC-TAA'"),
        );
    }

    public function test_a_technician_reads_a_bottle_and_puts_a_reading_right(): void
    {
        $oda = self::visitor('oda', true);
        $oda->go('/fleet/bottles')->see('must be changed by Fri 15 May');
        $oda->press('Enter a reading');
        $oda->type('pressure', '79')->type('temp_c', '14')->press('Save the reading')->see('79 bar');
        self::assertStringNotContainsString('Fri 15 May', $oda->find('[data-testid="sentence"]')->getText());
        $oda->press('Correct');
        $oda->type('reason', 'of the other bottle')->press('Take it back')->see('of the other bottle')
            ->see('must be changed by Fri 15 May');
    }

    public function test_a_programme_item_is_changed_only_after_its_effect_was_seen(): void
    {
        $ines = self::$ines->go('/library/programme/SKV');
        $ines->press('05-21')->see('SKV 05-21');
        $field = $ines->find('[aria-label="Interval"]');
        $field->sendKeys(WebDriverKeys::CONTROL.'a');
        $field->sendKeys('0');
        $ines->press('What does it do?')->see('items.0.limits.0.interval');
        $field->sendKeys(WebDriverKeys::CONTROL.'a');
        $field->sendKeys('280');
        $ines->press('What does it do?')->see('Applying this changes 1 item, moves 6 dates');
        self::assertSame(
            '300',
            self::scalar("select json_extract(limits, '$[0].interval') from programme_items where code = '05-21'"),
        );
        $ines->press('Apply')->see('Applied: 1 item changed.')->press('Done')->see('280 fh +5 %');
        $answer = $ines->browser->executeAsyncScript(
            "const done = arguments[0]; fetch('/api/library/programmes/SKV/file.json').then(r => r.json()).then(p "
                ."=> done(p.items.find(i => i.code === '05-21').limits[0].interval));",
        );
        self::assertSame(280, $answer, 'and so it goes out');
    }

    public function test_a_calendar_link_is_read_without_a_session_and_dies_when_revoked(): void
    {
        $ines = self::$ines->go('/fleet/calendar');
        $ines->find('input[name="name"]');
        $ines->type('name', 'Hangar wall')->press('Make a link');
        $address = self::$stage->url.parse_url($ines->find('[data-testid="address"] code')->getText(), PHP_URL_PATH);
        self::assertStringStartsWith('BEGIN:VCALENDAR', (string) file_get_contents($address));
        $ines->press('Revoke')->see('revoked')->see('No calendar reads the fleet yet');
        self::assertFalse(@file_get_contents($address));
    }

    public function test_a_long_due_list_draws_what_is_in_sight_and_prints_all(): void
    {
        $ines = self::$ines->go('/fleet/due');
        $ines->press('365 days');
        $ines->browser->wait(25, 100)->until(static fn(): bool => (int) $ines->browser->executeScript(
            'return Number((document.body.innerText.match(/of (\\d+)/) ?? [0, 0])[1])',
        ) > 800);
        $drawn = static fn(): int
            => (int) $ines->browser->executeScript("return document.querySelectorAll('tbody tr a').length");
        $all = (int) $ines->browser->executeScript('return Number(document.body.innerText.match(/of (\\d+)/)[1])');
        self::assertLessThan(120, $drawn());
        $first = $ines->find('tbody tr a')->getText();
        $ines->browser->executeScript('window.scrollTo(0, document.documentElement.scrollHeight)');
        $ines->browser->wait(10, 100)->until(static fn(): bool => (string) $ines->browser->executeScript(
            "return [...document.querySelectorAll('tbody tr a')].at(-1).closest('tr').innerText",
        ) !== '' && (int) $ines->browser->executeScript('return window.scrollY') > 10_000);
        self::assertGreaterThan(0, $drawn());
        self::assertNotSame('', $first);
        $ines->browser->executeScript("window.dispatchEvent(new Event('beforeprint'))");
        $ines->browser->wait(10, 100)->until(static fn(): bool => $drawn() === $all, 'all are on paper');
        $ines->browser->executeScript("window.dispatchEvent(new Event('afterprint'))");
        $csv = (string) $ines->browser->executeAsyncScript(
            "const done = arguments[0]; fetch(document.querySelector('a[download]').href).then(r => "
                .'r.text()).then(done);',
        );
        self::assertCount($all + 2, explode("\r\n", $csv), 'a head, every line, and the end of the last');
    }
}
