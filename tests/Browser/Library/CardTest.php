<?php

declare(strict_types=1);

namespace Tests\Browser\Library;

use Facebook\WebDriver\WebDriverBy;
use Facebook\WebDriver\WebDriverKeys;
use Tests\Browser\BrowserCase;
use Tests\Browser\Visitor;

/** A card from its first word to its last stamp: written by one, checked by another, worked by a third. */
final class CardTest extends BrowserCase
{
    private static Visitor $ines;

    protected static function enter(): void
    {
        self::$ines = self::visitor('ines');
    }

    private function keys(Visitor $who, string ...$keys): void
    {
        $who->browser->switchTo()->activeElement()->sendKeys(array_values($keys));
    }

    private function pick(Visitor $who, string $name, string $value): void
    {
        $who->find("select[name=\"{$name}\"]")->findElement(WebDriverBy::cssSelector("option[value=\"{$value}\"]"))
            ->click();
    }

    public function test_a_card_is_written_by_keyboard_with_every_fault_named_and_undone(): void
    {
        $ines = self::$ines->go('/library');
        $ines->click('a[href="/library/write/SKV"]')->find('[data-testid="faults"]');
        foreach (
            [
                'code' => 'SKV-35-90', 'title' => 'Oxygen union check', 'section' => '35-90', 'chapter' => '35',
            ] as $name => $text
        ) {
            $ines->type($name, $text);
        }
        $ines->see('step 2, title');
        $ines->press('step 2, title')->find('[data-testid="step-form"]');
        $ines->type('title', 'Part union 9');
        $ines->see('No fault');
        // What the technician will get stands beside it.
        self::assertStringContainsString('Part union 9', $ines->find('[data-testid="tablet"]')->getText());
        $this->keys($ines, WebDriverKeys::CONTROL, WebDriverKeys::ENTER, WebDriverKeys::CONTROL);
        $ines->find('[data-row="2"][aria-current="step"]');
        $this->pick($ines, 'kind', 'count');
        $ines->type('title', 'Turn the nut')->see('step 3, counts');
        $ines->type('counts', 'turns')->type('max', '1,5')->see('must be a whole number');
        $this->pick($ines, 'fraction', '0.25');
        $ines->see('No fault');
        // Undone key by key until the fraction is gone, and done again.
        $this->keys($ines, WebDriverKeys::CONTROL, 'z', WebDriverKeys::CONTROL);
        $ines->see('must be a whole number');
        $this->keys($ines, WebDriverKeys::CONTROL, 'y', WebDriverKeys::CONTROL);
        $ines->see('No fault');
        // Doubled, moved up past its twin, and taken out.
        $this->keys($ines, WebDriverKeys::CONTROL, 'd', WebDriverKeys::CONTROL);
        $ines->find('[data-row="3"][aria-current="step"]');
        $this->keys(
            $ines,
            WebDriverKeys::CONTROL,
            WebDriverKeys::ALT,
            WebDriverKeys::ARROW_UP,
            WebDriverKeys::ALT,
            WebDriverKeys::CONTROL,
        );
        $ines->find('[data-row="2"][aria-current="step"]');
        $ines->press('Remove');
        self::until(
            static fn(): bool => count($ines->browser->findElements(WebDriverBy::cssSelector('[data-row]'))) === 3,
        );
        $ines->click('[data-row="1"]');
        $ines->browser->findElement(WebDriverBy::xpath('//summary[contains(., "disturbs")]'))->click();
        $ines->press('One more', '//fieldset[legend="Disturbs"]')->type('what', 'union 9');
        $ines->see('to put right')->click('select[name="how"] option[value="parted"]');
        $ines->click('input[name="proofs"][value="leak"]');
        $ines->see('Step 2 disturbs union 9; no later step joins it.');
        $ines->click('[data-row="2"]');
        $ines->browser->findElement(WebDriverBy::xpath('//summary[contains(., "disturbs")]'))->click();
        $ines->find('textarea[name="joins"]')->sendKeys('union 9');
        $ines->see('no later step proves it by leak');
        $ines->press('Paper')->see('turns: __________ [at most 1.5]');
        $ines->type('note', 'asked for by the floor')->press('Save the draft');
        self::until(static fn(): bool => ! str_contains($ines->text(), 'not saved'));
        $ines->press('To the card')->see('SKV-35-90 is not in force yet; version 1 is being written.');
        self::assertStringNotContainsString('Check it', $ines->text(), 'whoever wrote it does not check it');
    }

    public function test_a_second_person_checks_it_and_it_comes_in_force(): void
    {
        $runa = self::visitor('runa');
        $runa->go('/library/cards/SKV/SKV-35-90')->press('Check it')->type('stamp', 'I04')->type('pin', '4410')
            ->press('Sign', '//form')->see('is checked, and waits to come in force');
        self::$ines->go('/library/cards/SKV/SKV-35-90')->press('Bring it into force')->type('stamp', 'C01')
            ->type('pin', '1101')->press('Sign', '//form')->see('SKV-35-90 is in force as version 1.');
        self::$ines->see('checked by Runa');
        self::assertSame(1, self::number("select version from card_templates where code = 'SKV-35-90'"));
    }

    public function test_it_is_worked_and_what_it_leaves_unproven_stands_on_the_register(): void
    {
        [$first] = self::visit(self::$ines, 'Oxygen', 'QA-VFC', ['SKV-35-90', 'SKV-LUB'], 'oda');
        $oda = self::visitor('oda', tablet: true);
        $oda->go("/floor/{$first}")->find('[data-testid="step-1"]');
        $oda->see('I have read this warning')->browser
            ->findElement(WebDriverBy::xpath('//label[contains(., "I have read this warning")]'))->click();
        $oda->press('Go on')->see('Part union 9')->press('Done')->see('Save the count');
        $oda->press('Add a word')->find('textarea[name="text"]')->sendKeys('the nut was dry');
        $oda->press('Save', '//form');
        $oda->see('the nut was dry')->press('1/4 more')->press('1/4 more')->press('Save the count');
        $oda->see('Every step is done');
        $oda->go('/floor/registers/QA-VFC')->see('Union 9 is not proven since it was last touched: leak check.');
        // The step is opened once more: the proof is asked for as before, and the word stays.
        $oda->go("/floor/{$first}?step=3")->press('Do it once more');
        $oda->find('input[aria-label="Why it is done again"]')->sendKeys('the nut moved');
        $oda->press('Open it again', '//form')->see('Save the count');
        $oda->see('the nut was dry');
        self::assertSame('open', self::scalar("select state from steps where card_id = {$first} and no = 3"));
    }

    public function test_a_round_is_gone_by_enter_and_a_point_that_is_wrong_is_found_there(): void
    {
        $card = self::number("select c.id from cards c join card_templates t on t.id = c.template_id join visits v
            on v.id = c.visit_id where t.code = 'SKV-LUB' and v.title = 'Oxygen'");
        $oda = self::visitor('oda', tablet: true);
        $oda->go("/floor/{$card}")->find('[data-testid="step-1"]');
        $oda->see('I have read this warning')->browser
            ->findElement(WebDriverBy::xpath('//label[contains(., "I have read this warning")]'))->click();
        $oda->press('Go on')->see('Product and gun')->press('Done');
        $oda->see('Wipe every nipple')->press('Done')->see('0 of 19');
        foreach (['3', '2'] as $n => $strokes) {
            $oda->find('input[name="entry"]')->sendKeys($strokes.WebDriverKeys::ENTER);
            $oda->see(($n + 1).' of 19');
        }
        $oda->find('input[name="entry"]')->sendKeys('40'.WebDriverKeys::ENTER);
        $oda->see('Kept: 40, outside')->press('Something is wrong here')->find('[role="dialog"]');
        self::assertSame('nose gear, drag strut upper', $oda->find('input[name="place"]')->getAttribute('value'));
        $oda->type('extent', 'takes grease without end')->press('Raise', '//form');
        self::until(
            static fn(): bool => self::number(
                "select count(*) from circuit_points where entry like 'F%' and stands",
            ) > 0,
        );
        $oda->go("/floor/{$card}")->find('[data-point="n3"][data-state="found"]');
        $oda->see('3 of 19')->press('It waits for')->find('[role="dialog"]');
        $oda->press('a tool', '//form')->type('lack', 'the long grease gun')->press('It waits', '//form')
            ->see('Waits for the tool');
        self::$ines->go('/floor')->see('waits for a tool: the long grease gun', 40);
    }
}
