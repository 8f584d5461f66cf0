<?php

declare(strict_types=1);

namespace Tests\Browser\Floor;

use Tests\Browser\BrowserCase;
use Tests\Browser\Visitor;

/** What follows: a cut seal with its looks, an overspeed from the crew's word to its inspection, a rule of one's own. */
final class FollowsTest extends BrowserCase
{
    private static Visitor $ines;

    protected static function enter(): void
    {
        self::$ines = self::visitor('ines');
    }

    public function test_a_rule_is_written_agreed_by_another_and_opens_its_looks_at_the_next_finding(): void
    {
        $ines = self::$ines->go('/library/follows/SKV/write');
        $ines->type('code', 'SKV-F-HOSE')->type('title', 'A chafed hose')
            ->type('source', 'AM-SKV 20-30')->type('words-0', 'hose')->press('and one of another list')
            ->type('words-1', 'chafed, rubbed')->type('text-0', 'The clamp before it and the clamp after it')
            ->see('it would have held for none')->press('Add one')->type('text-1', 'What it rubbed on')
            ->see('Looked at as well: What it rubbed on')->type('reason', 'seen twice this spring')->press('Propose it');
        $ines->see('Yours: somebody else brings it in force');
        $tor = self::visitor('tor')->go('/library/follows');
        $tor->press('Bring in force', '//*[@data-rule="SKV-F-HOSE"]')->see('agreed by Tor');
        [$card] = self::visit($ines, 'Hoses', 'QA-VFC', ['SKV-29-11'], 'oda');
        $oda = self::visitor('oda', true)->go("/floor/{$card}");
        $oda->press('Something is wrong')->type('place', 'brake hose, left inner')->type('extent', 'rubbed to the braid')
            ->press('Raise the finding')->find('[data-testid="following"]');
        $oda->see('What it rubbed on')->press('To the finding')->see('2 things follow from it');
        $oda->press('Looked, all well')->type('answer', 'Both tight, rubber whole')->press('Save the answer')
            ->see('1 thing follows from it and is not answered yet');
        $oda->press('a mistake')->see('stays in the record')->type('why', 'it was the right wheel')
            ->press('Answer it once more')->see('2 things follow from it');
        $oda->press('Looked, all well')->type('answer', 'Both tight, left as well')->press('Save the answer')
            ->see('1 thing follows from it and is not answered yet');
        $oda->press('Something is wrong')->type('place', 'actuator bolt, left inner')->type('extent', 'head worn bright')
            ->press('Raise the finding')->see('something is wrong')->see('fix it or defer it');
        self::assertSame(2, self::number("select count(*) from findings where card_id = {$card}"));
    }

    public function test_an_overspeed_opens_its_inspection_which_somebody_takes_at_the_aircraft(): void
    {
        $ines = self::$ines->go('/floor/limits')->press('A limit was exceeded');
        $ines->choose('mark', 'QA-VFE')->choose('rule', 'SKV-X-NP')->choose('position', 'engine 2');
        $ines->type('peak', '100')->type('seconds', '6')->see('within the limit');
        $ines->type('peak', '102.6')->see('A major finding is raised')->press('Record it')
            ->see('1 exceeded limit is still to be inspected: QA-VFE');
        $number = self::scalar('select number from findings order by id desc limit 1');
        $ines->go('/fleet/QA-VFE')->see("must not fly: finding {$number} is open");
        $card = self::number('select id from cards where finding_id = (select max(id) from findings)');
        $mette = self::visitor('mette', true)->go("/floor/{$card}")->see('You are not on this card');
        $mette->press('Take this card')->confirm('Go on')->see('Read what was recorded');
        $mette->go('/floor/findings/'.self::number('select max(id) from findings'))
            ->see('Governor and propeller')->see('What did the crew do');
        self::assertSame(1, self::number("select count(*) from assignments where card_id = {$card}"));
    }
}
