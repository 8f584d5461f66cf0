<?php

declare(strict_types=1);

namespace Tests\Browser\Visits;

use Facebook\WebDriver\Interactions\WebDriverActions;
use Facebook\WebDriver\Remote\RemoteWebElement;
use Facebook\WebDriver\WebDriverKeys;
use Facebook\WebDriver\WebDriverSelect;
use Tests\Browser\BrowserCase;
use Tests\Browser\Visitor;

/**
 * A controller moves cards on its board, searches, and judges its windows, with a real planner beside.
 */
final class VisitsTest extends BrowserCase
{
    private static Visitor $ines;

    protected static function enter(): void
    {
        self::$ines = self::visitor('ines');
    }

    /** An open card of the block check that can be seen on the board, by its number. */
    private function onBoard(string $number): RemoteWebElement
    {
        $card = self::$ines->find("[data-board-card=\"{$number}\"]");
        self::$ines->browser->executeScript('arguments[0].scrollIntoView({ block: "center", inline: "center" })', [
            $card,
        ]);

        return $card;
    }

    private function openFix(): string
    {
        return self::scalar(
            "select number from cards where visit_id = 1 and state = 'open' and finding_id is not null order by "
                .'planned_start, id limit 1',
        );
    }

    public function test_a_card_is_dragged_shown_put_back_and_moved_by_keyboard(): void
    {
        $ines = self::$ines->go('/visits/1/board');
        $number = $this->openFix();
        $was = self::scalar("select planned_start from cards where number = '{$number}'");
        $ines->find('[data-board-card]');
        (new WebDriverActions($ines->browser))->dragAndDropBy($this->onBoard($number), 240, 0)->perform();
        $ines->see('Nothing is saved yet');
        self::assertStringStartsWith('The exit ', $ines->find('[data-testid="effect"] b')->getText());
        self::assertStringContainsString($number, $ines->find('[data-testid="effect"] li')->getText());
        self::assertSame($was, self::scalar("select planned_start from cards where number = '{$number}'"));
        $ines->press('Restore');
        $settled = static fn(): bool => ! str_contains($ines->text(), 'Nothing is saved yet');
        $ines->browser->wait(15)->until($settled);
        $this->onBoard($number)->sendKeys([WebDriverKeys::SHIFT, WebDriverKeys::ARROW_RIGHT]);
        $ines->see('Nothing is saved yet')->press('Save it')->see('Not before ');
        $ines->browser->wait(15)->until(
            fn(): bool => self::scalar("select coalesce(not_before, '') from cards where number = '{$number}'") !== '',
        );
        self::assertNotSame($was, self::scalar("select planned_start from cards where number = '{$number}'"));
        $ines->browser->wait(15)->until($settled);
        $ines->press('Unpin')->see('Nothing is saved yet')->press('Save it');
        $ines->browser->wait(15)->until(
            fn(): bool => self::scalar("select coalesce(not_before, '') from cards where number = '{$number}'") === '',
        );
        self::assertSame('2', self::scalar("select count(*) from records where what = 'card.moved'"));
    }

    public function test_two_controllers_move_cards_and_the_second_is_told(): void
    {
        $ines = self::$ines->go('/visits/1/board');
        $number = $this->openFix();
        $this->onBoard($number)->sendKeys([WebDriverKeys::SHIFT, WebDriverKeys::ARROW_RIGHT]);
        $ines->see('Nothing is saved yet');
        self::$stage->database()->exec('update visit_plans set version = version + 1 where visit_id = 1');
        $ines->press('Save it')->see('The plan has changed since you looked at it');
        self::assertSame('', self::scalar("select coalesce(not_before, '') from cards where number = '{$number}'"));
    }

    public function test_a_search_goes_on_while_the_page_is_used_and_is_cancelled(): void
    {
        $ines = self::$ines->go('/visits/1/board');
        $ines->find('[data-board-card]');
        (new WebDriverSelect($ines->find('select[aria-label="Time for the search"]')))->selectByValue('30');
        $ines->press('Search for a shorter plan')->see('tried');
        $ines->find('progress');
        $ines->press('Progress')->see('When it leaves, as forecast each day');
        $ines->press('Board')->find('progress');
        $ines->press('Cancel')->see('Cancelled. The plan was left as it was.');
        (new WebDriverSelect($ines->find('select[aria-label="Time for the search"]')))->selectByValue('3');
        $ines->press('Search for a shorter plan');
        $ines->browser->wait(30)->until(
            static fn(): bool => preg_match('/shorter plan was found/', $ines->text()) === 1,
        );
        self::assertSame('0', self::scalar("select count(*) from plan_runs where state in ('waiting', 'running')"));
    }

    public function test_windows_are_judged_otherwise_and_progress_tells_why_the_exit_moved(): void
    {
        $ines = self::$ines->go('/visits/1/window');
        $ines->see('act while there is time')->press('Set it otherwise')->find('input[name="rate"]');
        $ines->type('rate', '60')->type('worth', '300')->type('reason', 'hangared outside')->press('Apply');
        $ines->see('Set by Ines Maro (C01): hangared outside')->see('will not do as it stands');
        $ines->press('Set it otherwise')->press("Back to the type's history")->see('past inspections of the type');
        $ines->go('/visits/1/progress')->see('planned in the morning')->see('later');
        self::assertSame('', self::scalar("select coalesce(prior, '') from visit_plans where visit_id = 1"));
    }

    public function test_a_finding_gets_its_card_and_the_box_finds_it(): void
    {
        self::$stage->database()->exec(
            'insert into findings (aircraft_id, card_id, raised_by, number, chapter, place, extent, state, '
                    ."raised_at) select aircraft_id, id, 2, 'F0500', '53', 'frame 20', 'dent', 'open', "
                    ."'2026-05-05T12:00:00Z' from cards where visit_id = 1 and state = 'in_work' limit 1",
        );
        $ines = self::$ines->go('/visits/1')->see('One finding has no card yet');
        $ines->type('hours', '3,5')->press('Make its card');
        $ines->browser->wait(20)->until(static fn(): bool => ! str_contains($ines->text(), 'has no card yet'));
        $number = self::scalar('select c.number from cards c join findings f on f.id = c.finding_id where f.number '
            ."= 'F0500'");
        self::assertSame('3.5', self::scalar("select hours from cards where number = '{$number}'"));
        $ines->go('/crew')->find('table');
        $ines->browser->getKeyboard()->sendKeys('/');
        $ines->find('[cmdk-input]')->sendKeys("JORVEL CARD {$number}");
        $ines->see('Fix F0500');
        $ines->browser->getKeyboard()->sendKeys(WebDriverKeys::ENTER);
        $ines->see('Read the finding first');
    }
}
