<?php

declare(strict_types=1);

namespace Tests\Browser\Bench;

use Facebook\WebDriver\WebDriverBy;
use Facebook\WebDriver\WebDriverKeys;

/** Functional tests in the real interface: broken off, read by an instrument, recorded, fault trees written. */
final class TestsTest extends BenchCase
{
    public function test_an_attempt_is_broken_off_and_put_back(): void
    {
        $card = $this->cardOf('QC-TAB', 'OLN-27-61', 'noor');
        $noor = self::hand('noor')->go("/floor/{$card}");
        $this->upTo($card, 'Begin: Spoilers, self-test');
        $noor->go("/floor/{$card}");
        $begin = self::openStep($card);
        self::workStep($noor, $card);
        self::isPast($noor, $card, $begin);
        $noor->press('Break off')->type('why', 'Somebody stands at the wing');
        $noor->press('It is stopped')->see('Somebody stands at the wing');
        self::workTo($noor, $card, 'Verdict: Spoilers, self-test');
        $noor->press('Save the verdict')->see('Somebody stands at the wing');
    }

    public function test_an_instrument_drops_its_reading_in_by_one_key(): void
    {
        $ines = self::$people['ines']->go('/stores/tools/PG-21');
        $token = $ines->press('Make a token')->find('[data-testid="token"]')->getText();
        self::assertMatchesRegularExpression('/^[0-9a-f]{48}$/', $token);
        $card = $this->cardOf('Q-402', 'TRK-32-91', 'aki');
        $this->upTo($card, 'Begin: Strut, nose');
        $aki = self::hand('aki')->go("/floor/{$card}");
        self::workTo($aki, $card, 'Extension by the chart, nose');
        $aki->click('option[value="PG-21"]')->click('input[name="point-gas"]');
        $gas = $aki->find('input[name="point-gas"]');
        $gas->sendKeys(WebDriverKeys::F2);
        $aki->see('PG-21 sends nothing just now');
        [$rc, $said] = self::$stage->artisan(
            'jorvel:instrument',
            'pressure-gauge',
            '--tool=PG-21',
            '--true=38',
            '--count=2',
            '--post='.self::$stage->url.'/api/instruments/readings',
            "--token={$token}",
        );
        self::assertSame(0, $rc, $said);
        $gas->sendKeys(WebDriverKeys::F2);
        self::until(static fn(): bool => $gas->getAttribute('value') !== '');
        self::assertEqualsWithDelta(38.0, (float) $gas->getAttribute('value'), 3.0);
        $aki->see('inside');
    }

    public function test_a_recording_is_brought_in_and_looked_through_by_keys(): void
    {
        $ivo = self::hand('ivo')->go('/bench/recordings')->press('Bring in a recording');
        $ivo->choose('mark', 'Q-404')->choose('attempt', '')->type('begun', '2026-05-05T07:00:00Z')
            ->press('From the simulator')->find('[data-testid="seen"]');
        $ivo->press('Save it', '//*[@role="dialog"]')->see('Q-404, Simulated run 1');
        $drawn = $ivo->find('section[aria-label^="Signals over time"]');
        // From the first time that stands under it to the last; nothing while it is drawn anew.
        $shows = static function () use ($ivo, $drawn): array {
            $times = (array) $ivo->browser->executeScript('return [...arguments[0].querySelectorAll("text")]'
                .'.map((t) => t.textContent).filter((t) => t.endsWith(" s"))', [$drawn]);

            return $times === [] ? [0.0, 0.0] : [(float) $times[0], (float) end($times)];
        };
        self::until(static fn(): bool => $shows()[1] > 0.0);
        $all = $shows();
        $ivo->browser->executeScript('arguments[0].focus()', [$drawn]);
        $drawn->sendKeys('+');
        self::until(static fn(): bool => $shows()[0] > 0.0);
        $drawn->sendKeys('+');
        self::until(static fn(): bool => $shows()[0] > 0.0 && $shows()[1] - $shows()[0] < ($all[1] - $all[0]) / 2);
        $near = $shows();
        $drawn->sendKeys(WebDriverKeys::ARROW_RIGHT);
        self::until(static fn(): bool => $shows()[0] > $near[0]);
        $drawn->sendKeys(WebDriverKeys::HOME);
        self::until(static fn(): bool => $shows() === $all);
    }

    public function test_a_fault_tree_is_written_with_its_faults_named_and_drawn_as_one_writes(): void
    {
        $ines = self::$people['ines']->go('/library/trees')->click('[data-testid="tree-OLN-T-2563"] summary')
            ->press('Change it', '//details[@open]');
        $field = $ines->find('textarea[name="text"]');
        $whole = (string) $field->getAttribute('value');
        $write = static fn(string $text): mixed => $field->sendKeys(
            WebDriverKeys::CONTROL.'a'.WebDriverKeys::NULL.$text,
        );
        $fault = static fn(): string => $ines->browser->findElement(
            WebDriverBy::cssSelector('[data-testid="fault"]'),
        )->getText();
        $write('{');
        self::until(static fn(): bool => $fault() !== '');
        $write((string) json_encode([...json_decode($whole, true), 'title' => 'Raft release will not go']));
        self::until(static fn(): bool => $fault() === '');
        self::until(static fn(): bool => count($ines->browser->findElements(
            WebDriverBy::cssSelector('[role="dialog"] svg foreignObject'),
        )) > 3);
        $ines->type('reason', 'as its crews say it')->press('Propose it', '//form');
        self::until(
            static fn(): bool => self::number("select count(*) from fault_trees where code = 'OLN-T-2563'") === 2,
        );
    }
}
