<?php

declare(strict_types=1);

namespace Tests\Browser\Floor;

use Facebook\WebDriver\WebDriverBy;
use Facebook\WebDriver\WebDriverKeys;
use PHPUnit\Framework\Attributes\Depends;
use Tests\Browser\BrowserCase;
use Tests\Browser\Visitor;

/**
 * A day on the floor, in real browsers: a gear held by what stands against it, freed, worked and inspected; a crew; a
 * re-reading; a recall.
 */
final class FloorTest extends BrowserCase
{
    private static Visitor $ines;

    private static Visitor $oda;

    private static Visitor $stig;

    private static string $gear;

    protected static function enter(): void
    {
        self::$oda = self::visitor('oda', true);
        self::$stig = self::visitor('stig', true);
        self::$ines = self::visitor('ines');
        self::$gear = (string) self::number("select id from cards where title = 'Gear extension by hand pump' and "
            ."state = 'in_work'");
    }

    public function test_a_held_step_leads_to_each_cause_and_frees_itself(): void
    {
        $oda = self::$oda->go('/floor/'.self::$gear);
        $oda->find('[data-testid="holds"]');
        $oda->see('Stig Omdal works on 015-01 Flap travel timing')
            ->see('Flap travel lock, left flap, fitted by Stig Omdal');
        self::assertSame(
            [],
            $oda->browser->findElements(WebDriverBy::cssSelector('input[name="entry"]')),
            'no control stands beside the hold',
        );

        $stig = self::$stig;
        $oda->press('Take it off: step 6');
        $oda->find('[data-testid="step-6"]');
        // Stig reads both screwjacks, in any order, and takes the lock off; he and his trainee are called clear.
        $flaps = basename((string) parse_url($oda->browser->getCurrentURL(), PHP_URL_PATH));
        $stig->go("/floor/{$flaps}")->click('[data-step="5"]')->tool('FG-11')->type('entry', '0.2')->see('inside')
            ->press('Save the reading')->find('[data-testid="step-4"]');
        $stig->type('entry', '0.3')->see('inside')->press('Save the reading')->find('[data-testid="step-6"]');
        $stig->confirm('Removed')->find('[data-testid="step-7"]');
        // Oda sees Lio gone and calls him clear from the held step; Stig calls himself clear; the step frees itself.
        $oda->go('/floor/'.self::$gear)->press('Call Lio Kest clear')
            ->press('Lio Kest is clear', '//*[@role="dialog"]');
        $oda->browser->wait(10, 100)
            ->until(static fn(): bool => ! str_contains($oda->find('[data-testid="holds"]')->getText(), 'Lio Kest'));
        $oda->see('Stig Omdal works on 015-01');
        $stig->press('I am clear');
        $oda->find('input[name="entry"]', 40);
        // Six strokes by the space bar; the rest is typed.
        $oda->browser->findElement(WebDriverBy::cssSelector('h1'))->click();
        for ($i = 0; $i < 6; $i++) {
            $oda->browser->getKeyboard()->sendKeys(' ');
        }
        self::assertSame('6', $oda->find('input[name="entry"]')->getAttribute('value'));
        $oda->press('Save the count')->see('outside 42 to 64');
        $oda->type('entry', '51')->press('Save the count')->find('[data-testid="step-9"]');
    }

    #[Depends('test_a_held_step_leads_to_each_cause_and_frees_itself')]
    public function test_the_card_goes_to_an_inspector_who_finds_it_in_their_own_list(): void
    {
        $oda = self::$oda;
        $oda->type('shown', '92')->type('real', '80')->press('Save both')->see('differ by more than 4');
        $oda->type('shown', '92')->type('real', '90')->press('Save both')->find('[data-testid="step-10"]');
        $oda->press('Start the hold')->see('Holding')->press('It held')->find('[data-testid="step-11"]');
        $oda->click('button[aria-label="Start the watch"]');
        self::until(
            static fn(): bool => (float) $oda->find('button[aria-label="Stop the watch"] .font-mono')->getText() > 0.6,
        );
        $oda->click('button[aria-label="Stop the watch"]')->see('inside')->press('Save the time')
            ->find('[data-testid="step-12"]');
        $oda->confirm('Fitted')->find('[data-testid="step-13"]');
        $oda->see('Waits')->see('Oda Fenn has no authority to inspect independently');
        $runa = self::visitor('runa');
        $runa->go('/floor')->see('For you to inspect')->press('', '//li[.//b[text()="Gear extension by hand pump"]]')
            ->find('[data-testid="step-13"]');
        $runa->press('Inspect and sign')->type('stamp', 'I04')->type('pin', '4410');
        foreach (['leak', 'locking', 'free and full movement'] as $covered) {
            $runa->browser->findElement(WebDriverBy::xpath("//form//label[contains(., '{$covered}')]"))->click();
        }
        $runa->press('Sign', '//form')->find('[data-testid="step-14"]');
        $oda->go('/floor/'.self::$gear)->find('[data-testid="step-14"]');

        // Something is wrong: the same place twice is told at once.
        foreach ([1, 2] as $time) {
            $oda->press('Something is wrong')->type('place', 'hand pump, rod seal')->type('extent', "wet, seen {$time}")
                ->press('on the drawing')->click('[data-view="side"]');
            $oda->find('[data-testid="spot"]');
            $oda->browser->getKeyboard()->sendKeys(WebDriverKeys::ARROW_RIGHT);
            $oda->press('Raise the finding')->browser->wait(20, 100)->until(
                static fn(): bool
                        => self::number("select count(*) from findings where place = 'hand pump, rod seal'") === $time,
            );
        }
        $oda->find('[data-testid="repeat"]');
        $oda->press('To the finding')->see('It was found there before')->see('JV-3231-09 Hand pump seal kit');
        self::assertGreaterThan(
            0.0,
            json_decode(
                (string) self::$stage->database()
                    ->query("select spot from findings where place = 'hand pump, rod seal' limit 1")->fetchColumn(),
                true,
            )['x'],
        );
        // A photo and a sketch, drawn with the pointer, stand on the finding's page.
        $picture = (string) tempnam(sys_get_temp_dir(), 'jorvel-photo').'.png';
        imagepng(imagecreatetruecolor(60, 40), $picture);
        $oda->browser->findElement(WebDriverBy::cssSelector('input[type="file"]'))->sendKeys($picture);
        $oda->find('main img');
        self::assertSame(60, $oda->browser->executeAsyncScript(
            'const i = document.querySelector("main img"); const done = arguments[0]; i.complete ? '
                .'done(i.naturalWidth) : i.onload = () => done(i.naturalWidth);',
        ));
        // One larger than the server takes is made smaller here, and comes.
        $large = imagecreatetruecolor(4400, 3000);
        for ($y = 0; $y < 3000; $y += 4) {
            for ($x = 0; $x < 4400; $x += 4) {
                imagefilledrectangle($large, $x, $y, $x + 3, $y + 3, mt_rand(0, 0xFFFFFF));
            }
        }
        imagejpeg($large, $picture, 100);
        self::assertGreaterThan(8 * 1024 * 1024, filesize($picture));
        $oda->browser->findElement(WebDriverBy::cssSelector('input[type="file"]'))->sendKeys($picture);
        self::until(static fn(): bool => self::number("select count(*) from photos where mime = 'image/jpeg'") === 1);
        self::assertLessThan(8 * 1024 * 1024, self::number("select bytes from photos where mime = 'image/jpeg'"));
        file_put_contents($picture, 'no picture');
        $oda->browser->findElement(WebDriverBy::cssSelector('input[type="file"]'))->sendKeys($picture);
        $oda->see('no JPEG, PNG or WebP picture');
        unlink($picture);
        $oda->go('/floor/'.self::$gear)->press('Something is wrong')->type('place', 'hand pump, handle')
            ->type('extent', 'bent 10 mm')->press('in a sketch')->find('[data-testid="sketch"]');
        $sheet = $oda->browser->findElement(WebDriverBy::cssSelector('[data-testid="sketch"]'));
        $oda->browser->action()
            ->moveToElement($sheet, -60, 0)
            ->clickAndHold()
            ->moveByOffset(60, 20)
            ->moveByOffset(60, -20)
            ->release()
            ->perform();
        $oda->see('Take the last stroke back')->press('Raise the finding')->browser->wait(20, 100)->until(
            static fn(): bool
                    => self::number("select json_array_length(sketch) from findings where place = 'hand pump, "
                        ."handle'") === 1,
        );
        $oda->go('/floor/'.self::$gear)->press('Hand over')->find('textarea[name="said"]')
            ->sendKeys('Rod seal weeps; leave the pump handle wired');
        $oda->press('Hand over', '//form')->find('[data-testid="given"]');
        self::assertSame(1, self::number('select count(*) from handovers where card_id = '.self::$gear));
    }

    public function test_a_crew_is_moved_by_keyboard_and_by_dragging_and_kept(): void
    {
        $ines = self::$ines->go('/crew/shift');
        $slot = $ines->find('[data-slot$=":perform:airframe:1"][data-person=""], '
            .'[data-slot$=":perform:airframe:2"][data-person=""]')->getAttribute('data-slot');
        $filled = static fn(): string => (string) $ines->browser->executeScript(
            'return document.querySelector(`[data-slot="${arguments[0]}"]`).dataset.person',
            [$slot],
        );
        // By keyboard: onto the place, Enter, the first who can, Enter.
        $ines->browser->executeScript('document.querySelector(`[data-slot="${arguments[0]}"] button`).focus()', [
            $slot,
        ]);
        $ines->browser->getKeyboard()->sendKeys(WebDriverKeys::ENTER);
        $ines->find('[role="dialog"]');
        $ines->browser->getKeyboard()->sendKeys(WebDriverKeys::ENTER);
        $ines->see('not saved yet');
        self::assertNotSame('', $filled());
        // By the pointer: over a place it says at once whether they could, and dropped where they cannot, nobody is
        // moved.
        $place = $ines->find("[data-slot=\"{$slot}\"]");
        $drag = static function (string $name) use ($ines, $place): void {
            $from = $ines->find("[data-draggable=\"true\"][data-person=\"{$name}\"]");
            $ines->browser->action()->clickAndHold($from)->moveByOffset(8, 8)->moveToElement($place, 20, 0)
                ->moveByOffset(2, 0)->perform();
        };
        $before = $filled();
        $drag('Ines Maro');
        $ines->see('Ines Maro has no authority to work cards');
        $ines->browser->action()->release()->perform();
        $ines->find('[data-testid="said"]');
        $ines->see('Ines Maro has no authority to work cards. Nobody was moved.');
        self::assertSame($before, $filled());
        $drag('Noor Hadley');
        $ines->see('Noor Hadley takes it');
        $ines->browser->action()->release()->perform();
        $noor = (string) self::number("select id from people where name = 'Noor Hadley'");
        $ines->browser->wait(20, 100)->until(static fn(): bool => $filled() === $noor);
        $ines->press('Fill the open places');
        $ines->browser->wait(20, 100)->until(static fn(): bool => (int) $ines->browser->executeScript(
            'return document.querySelectorAll("[data-slot]:not([data-person=\\"\\"])").length',
        ) > 5);
        $ines->press('Save this crew');
        $ines->browser->wait(20, 100)->until(
            static fn(): bool => self::number('select count(*) from shift_places') > 5,
        );
    }

    public function test_a_method_is_read_again_and_the_card_made_anew_and_a_recall_opens_its_re_checks(): void
    {
        $ines = self::$ines->go('/library/manuals/BM-TRK');
        $ines->press('I read it again')->find('textarea[name="note"]');
        $ines->browser->findElement(WebDriverBy::xpath('//label[contains(., "for every fleet")]'))->click();
        $ines->see('warnings went');
        foreach ($ines->browser->findElements(WebDriverBy::cssSelector('[data-testid="lost"] input')) as $seen) {
            $seen->click();
        }
        $ines->find('textarea[name="note"]')->sendKeys('Both engines run now; the other takes up the load.');
        $ines->press('Accept, under my name')->press('Accept it')->find('textarea[name="note"]')
            ->sendKeys('Steps made anew.');
        $ines->press('Accept, under my name')->see('Everything written from BM-TRK stands at revision 7.');
        // Both run now: four changes of mode, at each of which the other is watched too.
        self::assertSame(4, self::number("select count(*) from steps s join cards c on c.id = s.card_id
            where c.number = '002-01' and s.kind = 'transition' and s.spec like '%\"partner\":%'"));
        $ines->go('/stores/tools/CT-03')->press('Open all 2 re-checks…')->see('none of these aircraft is clear')
            ->press('Open all 2 re-checks', '//*[@role="dialog"]')->see('every re-check is open or done');
        self::assertSame(2, self::number("select count(*) from cards where makes = 'recheck'"));
        $ines->go('/stores/out')->find('[data-loan="rags"] input')->sendKeys('12');
        $ines->press('Counted in', '//li[@data-loan="rags"]');
        $ines->browser->wait(20, 100)->until(
            static fn(): bool
                    => self::number("select count(*) from tool_loans where what = 'rags' and in_at is null") === 0,
        );
    }
}
