<?php

declare(strict_types=1);

namespace Tests\Browser\Floor;

use Facebook\WebDriver\WebDriverBy;
use Facebook\WebDriver\WebDriverKeys;
use Tests\Browser\BrowserCase;
use Tests\Browser\Visitor;

/** A morning on the line: a daily from the list to its signature, and a bottle changed by its plates. */
final class LineTest extends BrowserCase
{
    private static Visitor $aki;

    protected static function enter(): void
    {
        self::$aki = self::visitor('aki', true);
    }

    private function read(string $entry, string $tool = ''): void
    {
        $tool === '' || self::$aki->tool($tool);
        self::$aki->type('entry', $entry)->see('inside')->press('Save the reading');
    }

    private function at(int $step): void
    {
        self::$aki->find("[data-testid=\"step-{$step}\"]");
    }

    public function test_a_daily_is_begun_at_the_helicopter_worked_and_signed_good_until_tomorrow(): void
    {
        $aki = self::$aki->go('/floor/line')->see('Q-402')->see('ran out at the end of Mon 4 May');
        $aki->click('[data-line="Q-402"] [data-check="daily"] button')->see('Daily inspection');
        $aki->confirm('Go on');
        $this->at(2);
        $aki->press('Done');
        $this->at(3);
        $this->read('41');
        $this->at(4);
        // Thirty-one nipples, one after the other, by Enter alone.
        for ($n = 1; $n <= 31; $n++) {
            $aki->type('entry', $n === 7 ? '9' : '3')->browser->switchTo()->activeElement()
                ->sendKeys(WebDriverKeys::ENTER);
            if ($n === 7) {
                $aki->see('Kept: 9, outside')->type('entry', '4')->browser->switchTo()->activeElement()
                    ->sendKeys(WebDriverKeys::ENTER);
            }
            $aki->see("{$n} of 31 seen");
        }
        $aki->press('All 31 seen');
        $values = [5 => ['64', ''], 6 => ['5.9', 'PG-22'], 7 => ['63', ''], 8 => ['5.8', 'PG-22']];
        foreach ($values as $no => [$read, $with]) {
            $this->at($no);
            $this->read($read, $with);
        }
        $this->at(9);
        $aki->click('input[name="batch"][value="O21-A"]')->type('entry', '0.7')->press('It is in');
        $this->at(10);
        $aki->type('entry', '0')->press('Nothing was needed');
        foreach ([11 => 'whole', 12 => 'clean', 13 => 'laced'] as $no => $answer) {
            $this->at($no);
            $aki->press($answer)->press('Save the answer');
        }
        $this->at(14);
        $aki->press('Looked at');
        $this->at(15);
        // What it must read at least was read at the start.
        $aki->see('Its limit comes from what was read before: brake - 1')->type('entry', '39.2')->see('outside');
        $this->read('40.2');
        $aki->see('Every step is done')->press('Sign the card')->backIn()->type('stamp', 'T35')->type('pin', '3581')
            ->press('Sign', '//form');
        $aki->see('Q-402 is good until the end of Wed 6 May')->press('Sign that it is good')->type('stamp', 'T35')
            ->type('pin', '3581')->press('Sign', '//form');
        $aki->see('until the end of Wed 6 May, Aki Brandt');
        self::assertSame(1, self::number("select count(*) from validities v join aircraft a on a.id = v.aircraft_id
            where a.mark = 'Q-402' and v.until = '2026-05-06'"));
    }

    public function test_a_bottle_is_changed_by_its_plates_with_what_goes_over_to_the_new_one(): void
    {
        [$card] = self::visit(self::visitor('ines')->go('/floor'), 'Bottle', 'QA-VFC', ['SKV-35-21'], 'oda');
        $oda = self::visitor('oda', true)->go("/floor/{$card}");
        $oda->confirm('Go on')->find('[data-testid="step-2"]');
        $oda->confirm('Fitted')->find('[data-testid="step-3"]');
        $oda->type('entry', 'to the seat')->press('Marked')->find('[data-testid="step-4"]');
        $oda->press('Done')->find('[data-testid="step-5"]');
        $oda->confirm('Fitted')->find('[data-testid="step-6"]');
        // The plate is not the one that the record has; then it is.
        $oda->see('BO126 stands at crew oxygen')->type('serial', 'BO130')->type('why', 'test date')
            ->type('to', 'test shop')->type('clamp', '3')->type('clamp bolt', '6')
            ->click('select[name="tag"] option[value="time_expired"]');
        $oda->press('It is off')->see('BO126 stands there. Read it again.');
        $oda->type('serial', 'BO126')->press('It is off')->see('In the store, serviceable: BO201');
        $oda->type('serial', 'BO201')->type('clamp', '3')->type('clamp bolt', '5')->press('It is on')
            ->see('5 × clamp bolt on; 6 belong there');
        $oda->type('clamp bolt', '6')->press('It is on')->find('[data-testid="step-7"]');
        $oda->go("/floor/{$card}?step=6")->see('Off: serial BO126. On: serial BO201.')->see('clamp bolt: 6 off, 6 on');
        self::assertSame('time_expired', self::scalar("select tag from components where serial = 'BO126'"));
    }

    public function test_a_crew_report_is_a_finding_and_keeps_the_helicopter_from_being_good(): void
    {
        $aki = self::$aki->go('/floor/line')->see('Q-402');
        $aki->browser->findElement(WebDriverBy::xpath(
            '//*[@data-line="Q-402"]//button[starts-with(., "A crew report")]',
        ))->click();
        $aki->find('textarea[name="report"]')->sendKeys('shakes once a turn above 90 knots');
        $aki->type('chapter', '62')->press('Begin the check')->see('Inspection after a crew report')
            ->see('shakes once a turn');
        $aki->go('/floor/line')->see('is open');
        self::assertStringContainsString('Q-402', $aki->text());
    }
}
