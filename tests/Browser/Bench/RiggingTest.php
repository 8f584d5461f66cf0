<?php

declare(strict_types=1);

namespace Tests\Browser\Bench;

use Facebook\WebDriver\WebDriverKeys;

/** Riggings: read in ground runs, turned by what is foretold, replayed, and their drawings written. */
final class RiggingTest extends BenchCase
{
    public function test_a_ground_run_is_begun_broken_off_read_and_turned_by_what_is_foretold(): void
    {
        $card = $this->cardOf('QA-VFB', 'SKV-76-21', 'oda');
        $this->upTo($card, 'Levers at their stops');
        $oda = self::hand('oda');
        $oda->post("cards/{$card}/lessons/read", []);
        $oda->go("/floor/{$card}")->see('Before ground run 1')->see('Back to idle');
        $brief = static function () use ($oda): void {
            foreach (['cautions', 'stops', 'preload', 'joined'] as $must) {
                $oda->click("input[name=\"holds:{$must}\"]");
            }
            $oda->type('at:0', 'Lio Kest')->type('at:1', 'T27')->type('at:2', 'Runa Vale');
        };
        $brief();
        $oda->press('Begin ground run 1')->see('Lio Kest at left seat');
        $oda->press('Break off')->type('why', 'It bogs down')->press('It is broken off')
            ->see('Ground run 1 was broken off: It bogs down');
        $brief();
        $oda->press('Begin ground run 2')->see('Ground run 2 goes on');
        $oda->tool('PR-05');
        foreach (['prop' => '73.1', 'cond' => '16.8', 'power' => '36.9', 'beta' => '12.4', 'reverse' => '14.2',
            'peak:0' => '742', 'peak:1' => '96'] as $name => $value) {
            $oda->type($name, $value);
        }
        $oda->press('Save the as-found')->see('Cool down at idle until')->find('[data-testid="washer-cam"]');
        $oda->see(
            'washer and lever together on the unit, 4 serrations clockwise',
        )->see('So turned, everything is within');
        // Half of it does not bring the propeller lever in, and that is said before anybody turns it.
        $oda->type('turned-prop_rod', '0.5')->see('So turned, outside probably stays: Propeller lever');
        $oda->type('turned-prop_rod', '2')->see('So turned, everything is within');
        $oda->press('This was turned')->see('Nothing is turned before');
        self::later(121);
        $oda->press('This was turned')->see('Before ground run 3');
        self::assertSame(['broken_off', 'failed'], array_map(
            static fn(array $r): string => $r['state'],
            self::$stage->database()->query("select state from test_attempts where card_id = {$card} order by no")
                ->fetchAll(\PDO::FETCH_ASSOC),
        ));
        $oda->go('/bench/past?mark=QA-VFB')->see('Ground run: Levers at their stops')->see('Attempt 1 broken off');
    }

    public function test_a_past_rigging_is_replayed_and_a_trend_is_taken_into_the_due_list(): void
    {
        $ines = self::$people['ines']->go('/bench/rigging')->see('to do or in hand.');
        $id = self::number('select step_id from rig_runs where no = 2');
        $ines->go("/bench/rigging/{$id}")->see('within after 3 runs')->see('All readings are inside.');
        $ines->find('body')->sendKeys(WebDriverKeys::ARROW_LEFT);
        $ines->see('adjusters bring every reading inside')->press('As found')->see('counter-clockwise');
        self::assertStringContainsString('60.3', $ines->find('[data-testid="linkage"]')->getText());
        $ines->go('/bench/trends')->press('swing to manual, engine 1', '//tr[.//a[text()="Q-403"]]');
        $ines->press('Take into the due list')->type('why', 'out by next spring')
            ->press('Take into the due list', '//form')->see('In the due list by Ines Maro');
        $ines->go('/fleet/due')->press('365 days')->find('input[placeholder="Filter"]')->sendKeys('swing to manual');
        $ines->see('swing to manual, engine 1: falling, and out after');
    }

    public function test_the_drawing_of_a_linkage_is_written_and_seen_at_once(): void
    {
        $tor = self::hand('tor')->go('/library/write/VSK/VSK-27-63')->click('[data-row="1"]');
        $tor->find('[data-testid="linkage"]');
        $box = $tor->find('textarea[aria-label="The drawing, as JSON"]');
        $text = (string) $box->getDomProperty('value');
        $box->sendKeys('x');
        $tor->see('It is no JSON yet');
        $box->sendKeys(WebDriverKeys::BACKSPACE);
        self::assertSame($text, $box->getDomProperty('value'));
        self::until(static fn(): bool => ! str_contains($tor->text(), 'It is no JSON yet'));
    }
}
