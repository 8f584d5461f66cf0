<?php

declare(strict_types=1);

namespace Tests\Browser\Floor;

use Facebook\WebDriver\WebDriverBy;
use Tests\Browser\BrowserCase;

/**
 * The server is gone while somebody works: the page opens again, what was entered waits, and arrives once when it is
 * back.
 */
final class OfflineTest extends BrowserCase
{
    protected function tearDown(): void
    {
        self::$stage->restore();
    }

    public function test_work_goes_on_through_a_reload_without_a_server_and_arrives_once(): void
    {
        $stig = self::visitor('stig', true);
        $card = self::number("select id from cards where title = 'Flap travel timing' and state = 'in_work'");
        // The list reads my cards while there is a connection; the card itself was never opened here.
        $stig->go('/floor')->see('Mine');
        self::until(static fn(): bool => (bool) $stig->browser->executeScript(
            "return navigator.serviceWorker.controller !== null && (localStorage.getItem('jorvel.read') ?? "
                ."'').includes('Flap travel timing') && (localStorage.getItem('jorvel.read') ?? "
                ."'').includes('fallsWith')",
        ), 60);
        self::$stage->cut();

        $stig->go("/floor/{$card}")->find('[data-testid="step-4"]');
        $stig->see('No connection')->see('as it was at');
        $stig->tool('FG-11')->type('entry', '0,3')->press('Save the reading')->see('1 step waits on this device');
        // A finding with its photo, and the card handed over, wait behind it.
        $picture = (string) tempnam(sys_get_temp_dir(), 'jorvel-photo').'.png';
        imagepng(imagecreatetruecolor(50, 30), $picture);
        $stig->press('Something is wrong')->type('place', 'left flap, inboard track')->type('extent', 'scored 20 mm');
        $stig->browser->findElement(WebDriverBy::cssSelector('[role="dialog"] input[type="file"]'))->sendKeys($picture);
        $stig->press('Raise the finding')->see('2 entries wait on this device')->see('a finding on')
            ->find('[data-testid="finding-waits"]');
        unlink($picture);
        $stig->press('Hand over')->find('textarea[name="said"]')->sendKeys('Track is scored; flaps stay locked');
        $stig->press('Hand over', '//form')
            ->see('3 entries wait on this device')->see('the hand-over of')
            ->see('told when the connection is back: Track is scored');

        // Reloaded without a server: the page is there, and so is what waits. A signature cannot wait, and nobody is
        // signed out.
        $stig->browser->navigate()->refresh();
        $stig->see('3 entries wait on this device');
        self::assertSame('waiting', $stig->find('[data-step="4"]')->getAttribute('data-state'));
        self::assertSame('Stig Omdal', $stig->find('[data-testid="me"]')->getText());
        $stig->go('/crew')->see('This could not be read.');
        self::assertSame(0, self::number("select count(*) from findings where place = 'left flap, inboard track'"));

        self::$stage->restore();
        $stig->go('/floor');
        self::until(static fn(): bool => self::number(
            "select count(*) from handovers where card_id = {$card} and said like 'Track is scored%'",
        ) === 1);
        self::until(
            static fn(): bool
                => $stig->browser->findElements(WebDriverBy::cssSelector('[data-testid="waiting-here"]')) === [],
        );
        self::assertSame([1, 1, 1], [
            self::number("select count(*) from readings where card_id = {$card} and value = 0.3"),
            self::number("select count(*) from findings where place = 'left flap, inboard track'"),
            self::number('select count(*) from photos p join findings f on f.id = p.finding_id where f.place = '
                ."'left flap, inboard track'"),
        ]);

        // Signed out, nothing of what was read stays on the device.
        $stig->go('/floor')->click('header details summary')->press('Sign out')->find('input[name="login"]');
        self::assertNull($stig->browser->executeScript("return localStorage.getItem('jorvel.read')"));
    }

    public function test_a_walk_round_at_known_damage_goes_on_without_a_server_and_arrives_once(): void
    {
        $oda = self::visitor('oda', true);
        $card = self::number("select id from cards where title like 'Flight deck and below%' and state = 'in_work'");
        $oda->go("/floor/{$card}")->see('Flight deck and below');
        $oda->go("/floor/damage/QA-VFA?card={$card}")->see('left flap, rib 4')->see('As it was');
        $looks = static fn(): string => self::number("select count(*) from damage_looks where card_id = {$card}").' looks, '
            .self::number("select count(*) from damage_looks where card_id = {$card} and length = 18").' of 18 mm';
        self::$stage->cut();
        $oda->press('As it was')->see('kept on this device')->see('1 entry waits on this device');
        $oda->click('[data-damage="D0001"] button:nth-of-type(1)')->type('length', '18')->press('Save the look');
        $oda->see('2 entries wait on this device')->see('a look at D0001');
        self::assertSame(0, self::number("select count(*) from damage_looks where card_id = {$card}"));
        self::$stage->restore();
        self::until(static fn(): bool => $looks() === '2 looks, 1 of 18 mm');
        $oda->see('looked at from here');
    }

    public function test_what_holds_others_or_is_signed_needs_the_connection(): void
    {
        $oda = self::visitor('oda', true);
        $card = self::number(
            'select c.id from cards c join assignments a on a.card_id = c.id join people p on p.id = a.person_id '
                ."where p.login = 'oda' and c.title = 'Gear extension by hand pump' and c.state = 'in_work'",
        );
        // As if it had been taken back: the step is open, and its device is off.
        self::$stage->database()->exec(
            "update steps set state = 'open', result = null, done_by = null, done_at = null where card_id = {$card} "
                ."and no = 3; update safing_devices set removed_at = '2026-05-05T12:00:00Z', removed_by = fitted_by where "
                ."fitted_step_id = (select id from steps where card_id = {$card} and no = 3) and removed_at is null",
        );
        $oda->go("/floor/{$card}")->find('[data-testid="step-3"]');
        self::$stage->cut();
        $oda->click('header details summary')->press('Sign out')->see('you are still signed in on this device');
        $oda->confirm('Fitted')->see('Before this device stands in the register it holds nobody else');
        self::assertNull($oda->browser->executeScript(
            "const kept = JSON.parse(localStorage.getItem('jorvel.waiting') ?? '[]'); return kept.length > 0 ? kept "
                .': null',
        ));
        self::$stage->restore();
        $oda->press('Fitted')->find('[data-step="3"][data-state="done"]');
    }
}
