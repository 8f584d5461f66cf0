<?php

declare(strict_types=1);

namespace Tests\Browser\Visits;

use Facebook\WebDriver\WebDriverBy;
use Tests\Browser\BrowserCase;
use Tests\Browser\Visitor;

/** A visit changes until it is begun; a bay closes for a week, and a helicopter breaks down. */
final class SeasonTest extends BrowserCase
{
    private static Visitor $ines;

    protected static function enter(): void
    {
        self::$ines = self::visitor('ines');
    }

    public function test_a_visit_is_renamed_emptied_split_and_cancelled(): void
    {
        $ines = self::$ines->go('/visits/4')->see('Rename or move');
        $ines->press('Rename or move…')->type('title', 'Twelve months')->press('Change it')->see('Twelve months');
        $picks = static fn(): array => $ines->browser->findElements(
            WebDriverBy::cssSelector('[aria-label^="Pick 004-"]'),
        );
        $ines->browser->executeScript('arguments[0].click()', [$picks()[0]]);
        $ines->see('one card picked')->press('Into a visit of their own…');
        $ines->type('title', 'A part of it')->press('Make it');
        $ines->see('A part of it')->press('Cancel it…')->type('reason', 'not wanted')->press('Cancel the visit');
        $ines->see('comes in next');
        self::assertSame('cancelled', self::scalar("select kind from visits where title = 'A part of it'"));
        self::assertSame('1', self::scalar("select count(*) from records where what = 'visit.cancelled'"));
    }

    public function test_what_nobody_may_move_is_looked_at_all_the_same(): void
    {
        self::$ines->go('/visits/season?days=30')->click('[data-visit="visit-1"]')->find('[data-testid="chosen"]');
        self::$ines->see('in work: it stays where it is');
        $mika = self::visitor('mika')->go('/visits/season?days=30')->click('[data-visit="visit-3"]');
        $mika->find('[data-testid="chosen"]');
        $mika->see('Phase check');
        self::assertStringNotContainsString('Give it up', $mika->text());
    }

    public function test_a_bay_closes_for_a_week_and_only_what_stood_there_moves(): void
    {
        $ines = self::$ines->go('/visits/season?days=30')->see('for 30 days', 60);
        $there = self::number("select count(*) from visits where bay = 'Skarnholm bay 2' and state = 'planned'
            and start <= '2026-05-26' and end >= '2026-05-20'");
        self::assertGreaterThan(0, $there);
        $rest = "select group_concat(id || start || end || bay) from (select * from visits where state = 'planned' and
            not (bay = 'Skarnholm bay 2' and start <= '2026-05-26' and end >= '2026-05-20') order by id)";
        $was = self::scalar($rest);
        $ines->press('Close a bay…')->choose('bay', (string) self::number('select id from bays where name = '
            ."'Skarnholm bay 2'"));
        $ines->type('start', '2026-05-20')->type('end', '2026-05-26')->type('why', 'crane inspection');
        $ines->press('Close it')->see('not hold as laid', 60)->press('Mend with the least change');
        $ines->see('Moved by the least change', 60)->press('Keep this season')->see('cards and plans', 120);
        self::assertSame(0, self::number("select count(*) from visits where bay = 'Skarnholm bay 2' and
            state = 'planned' and start <= '2026-05-26' and start >= '2026-05-20'"));
        self::assertSame($was, self::scalar(str_replace(
            'not (bay',
            "id not in (select substr(subject, 7) from records where what = 'visit.moved') and not (bay",
            $rest,
        )));
    }

    public function test_a_helicopter_breaks_down_and_others_make_room(): void
    {
        $ines = self::$ines->go('/visits/season?days=30')->see('for 30 days', 60);
        $ines->press('Out of service…')->choose('mark', 'Q-404')->choose('bay', 'Port Ellery');
        $ines->type('start', '2026-05-18')->type('end', '2026-05-22')->type('hours', '60');
        $ines->type('title', 'Tail rotor gearbox leaks')->press('Lay it')->see('not hold as laid', 60);
        $ines->press('Mend with the least change')->see('Moved by the least change', 60);
        $held = static fn(): bool => ! str_contains($ines->text(), 'not hold as laid');
        $ines->browser->wait(60)->until($held);
        $ines->press('Keep this season')->see('cards and plans', 120);
        self::assertSame(
            '2026-05-18 Port Ellery',
            self::scalar("select start || ' ' || bay from visits where title = 'Tail rotor gearbox leaks'"),
        );
        self::assertSame(0, self::number("select count(*) from visits where bay = 'Port Ellery' and state = 'planned'
            and title <> 'Tail rotor gearbox leaks' and start <= '2026-05-22' and end >= '2026-05-18'"));
    }
}
