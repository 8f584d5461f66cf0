<?php

declare(strict_types=1);

namespace Tests\Browser\Visits;

use Facebook\WebDriver\WebDriverKeys;
use Tests\Browser\BrowserCase;
use Tests\Browser\Visitor;

/** A controller plans the whole fleet's 90 days from a proposal, moves what she wants otherwise, and keeps it. */
final class SeasonPlanTest extends BrowserCase
{
    private static Visitor $ines;

    protected static function enter(): void
    {
        self::$ines = self::visitor('ines');
    }

    /** Presses a key on a block of the drawing. */
    private static function key(string $visit, string ...$keys): void
    {
        $block = self::$ines->find("[data-visit=\"{$visit}\"]");
        self::$ines->browser->executeScript('arguments[0].focus()', [$block]);
        self::$ines->browser->getKeyboard()->sendKeys($keys);
    }

    private static function start(string $visit): string
    {
        return (string) self::$ines->find("[data-visit=\"{$visit}\"]")->getAttribute('aria-label');
    }

    public function test_ninety_days_are_planned_moved_undone_and_kept(): void
    {
        $before = self::number('select count(*) from visits');
        $ines = self::$ines->go('/visits/season?days=90')->see('for 90 days', 60);
        $ines->press('Propose a season')->see('Take the proposal', 90)
            ->press('Take the proposal')->see('not kept yet', 60);
        // By the arrow keys a day on, judged at once, and back.
        $mine = (string) $ines->find('[data-visit^="new-"][data-mark="QC-TAB"]')->getAttribute('data-visit');
        $was = self::start($mine);
        self::key($mine, WebDriverKeys::ARROW_LEFT);
        $moved = static fn(): bool => self::start($mine) !== $was;
        $ines->browser->wait(45)->until($moved);
        $ines->press('Undo');
        $ines->browser->wait(45)->until(static fn(): bool => self::start($mine) === $was);
        // Longer, pinned, and beside the plan as it was proposed.
        $ines->press('Lay beside');
        self::key($mine, WebDriverKeys::SHIFT, WebDriverKeys::ARROW_RIGHT, WebDriverKeys::NULL);
        $ines->browser->wait(45)->until($moved);
        self::assertStringContainsString('Two plans', $ines->find('[data-testid="beside"]')->getText());
        $ines->press('Exchange them');
        $ines->browser->wait(45)->until(static fn(): bool => self::start($mine) === $was);
        $ines->press('Put it away');
        // What was laid is still there after a look elsewhere.
        $ines->go('/visits/bays')->see('Free slots')->go('/visits/season?days=90')->see('not kept yet');
        $ines->press('Keep this season')->see('with their cards and plans', 180);
        self::assertGreaterThan($before + 80, self::number('select count(*) from visits'));
        self::assertSame(
            0,
            self::number("select count(*) from cards c join visits v on v.id = c.visit_id join visit_plans p
                on p.visit_id = v.id where v.state = 'planned' and c.planned_start is null
                and p.result not like '%problem%'"),
        );
    }
}
