<?php

declare(strict_types=1);

namespace Tests\Browser\Shared;

use Facebook\WebDriver\WebDriverKeys;
use Tests\Browser\Visitor;

/** Floor, Bench and Stores, the door, and what opens over a page: fit for everybody. */
final class FitFloorTest extends FitCase
{
    public static function screens(): iterable
    {
        yield 'one part' => ['/stores/parts/JV-3242-11', '[data-batch]'];
        yield 'Floor' => ['/floor', '[data-card]'];
        yield 'a card that is held' => ['/floor/{held}', '[data-testid="holds"]'];
        yield 'a roll-call' => ['/floor/{held}?step=6', '[data-place]'];
        yield 'safing registers' => ['/floor/registers', 'main li a'];
        yield 'a safing register' => ['/floor/registers/QC-TAC', '[data-device]'];
        yield 'a finding found before' => ['/floor/findings/{repeat}', '[data-testid="repeat"]'];
        yield 'parts' => ['/stores/parts', 'table'];
        yield 'what is out' => ['/stores/out', '[data-loan]'];
        yield 'a recalled tool' => ['/stores/tools/CT-03', '[data-testid="recall"]'];
        yield 'a card' => ['/floor/1', '[data-step]'];
        yield 'exceeded limits' => ['/floor/limits', '[data-testid="sentence"]'];
        yield 'a damage map' => ['/floor/damage/QA-VFA', '[data-damage]'];
        yield 'Bench' => ['/bench', '[data-testid="sentence"]'];
        yield 'Stores' => ['/stores', 'table'];
        yield 'past tests' => ['/bench/past', 'table'];
    }

    public function test_the_door_and_the_sheets_over_a_page_are_fit_too(): void
    {
        $new = new Visitor(self::$stage->browser(), self::$stage->url);
        $new->go('/')->find('input[name="login"]');
        self::assertSame([], $this->unfit($new), 'signing in');
        $ines = self::$ines->go('/fleet/QA-VFC');
        $ines->click('[data-item="61-21"] input[type="checkbox"]')->press('Make a visit of 1')
            ->find('input[name="start"]');
        self::assertSame([], $this->unfit($ines), 'making a visit');
        $ines->go('/fleet/QA-VFD?view=flying')->press("Enter a day's flying")->find('input[name="fh"]');
        self::assertSame([], $this->unfit($ines), 'entering flying');
        $ines->go('/fleet/QA-VFD?view=components')->press('move')->find('input[name="position"]');
        self::assertSame([], $this->unfit($ines), 'moving a component');
        $ines->go('/library/programme/SKV')->press('05-21')->find('input[name="title"]');
        self::assertSame([], $this->unfit($ines), 'editing an item');
        $ines->go('/fleet/bottles')->press('Enter a reading')->find('input[name="pressure"]');
        self::assertSame([], $this->unfit($ines), 'reading a gauge');
        $ines->go('/visits/1')->press('Assign')->find('[data-person]');
        self::assertSame([], $this->unfit($ines), 'assigning');
        $ines->browser->getKeyboard()->sendKeys(WebDriverKeys::ESCAPE);
        $ines->browser->getKeyboard()->sendKeys('/');
        $ines->find('[cmdk-input]');
        self::assertSame([], $this->unfit($ines), 'going anywhere');
        $oda = self::$oda->go('/floor/1');
        $oda->press('Something is wrong', '//aside')->find('input[name="extent"]');
        self::assertSame([], $this->unfit($oda), 'raising a finding');
    }
}
