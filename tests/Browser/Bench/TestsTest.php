<?php

declare(strict_types=1);

namespace Tests\Browser\Bench;

use Facebook\WebDriver\WebDriverBy;
use Facebook\WebDriver\WebDriverKeys;
use PHPUnit\Framework\Attributes\DataProvider;
use Tests\Browser\BrowserCase;
use Tests\Browser\Visitor;
use Tests\Browser\WorksSteps;

/**
 * Every functional test that ships, worked in the real interface; what fails on the way is put back, found and done
 * again.
 */
final class TestsTest extends BrowserCase
{
    use WorksSteps;

    /** @var array<string, Visitor> by login */
    private static array $people = [];

    protected static function enter(): void
    {
        self::$people = ['ines' => self::visitor('ines')];
        // The revision of a manual that came since is another test's matter.
        self::$stage->database()->exec('update card_templates set revision = (select revision from manuals m
            where m.id = manual_id)');
    }

    /**
     * @return iterable<string, array{string, string, string, list<string>,
     *   array{string, array<string, string>, bool}|null}> aircraft, card, who works it, its tests; the step that fails at first, what is done there, whether a fault tree
     *   opens
     */
    public static function shipped(): iterable
    {
        yield 'change-over' => ['Q-404', 'TRK-76-22', 'ivo', ['Change-over, engine 1', 'Change-over, engine 2'],
            ['Engine 1 to manual', ['high' => '38', 'low' => '29'], true]];
        yield 'cowl flaps' => [
            'QA-VFD', 'SKV-71-31', 'mette', ['Cowl flaps, travel times'], ['How they move', ['entry' => 'jerky'], true],
        ];
        yield 'gear, three ways' => [
            'QC-TAA', 'OLN-32-30', 'stig', ['Normal, up and down', 'By the hand pump', 'Free fall'], null,
        ];
        yield 'spoilers' => ['QC-TAD', 'OLN-27-61', 'noor', ['Spoilers, self-test'], null];
        yield 'raft' => [
            'QC-TAA', 'OLN-25-63', 'stig', ['Raft release'],
            ['Lever locked again', ['paint' => 'yes', 'load' => 'no'], true],
        ];
        yield 'oxygen' => ['QA-VFD', 'SKV-35-21', 'oda', ['Crew oxygen, line and warning'], null];
        yield 'brakes' => ['QA-VFD', 'SKV-32-43', 'bram', ['Brakes equal'], null];
        yield 'reservoir' => ['QA-VFD', 'SKV-29-16', 'bram', ['Reservoir level'], null];
        yield 'parking brake' => ['QA-VFD', 'SKV-32-46', 'bram', ['Parking brake holds'], null];
        yield 'struts' => ['Q-404', 'TRK-32-91', 'aki', ['Strut, nose', 'Strut, left', 'Strut, right'], null];
        yield 'cables' => [
            'Q-501', 'VSK-27-46', 'odin', ['Cable tension'], ['Elevator and rudder', ['rl' => '90'], true],
        ];
        yield 'idle leak check' => ['QC-TAA', 'OLN-79-31', 'pell', ['Idle leak check'], null];
    }

    /**
     * @param list<string> $tests
     * @param array{string, array<string, string>, bool}|null $fails
     */
    #[DataProvider('shipped')]
    public function test_it_is_worked(string $mark, string $code, string $login, array $tests, ?array $fails): void
    {
        $card = $this->cardOf($mark, $code, $login);
        $who = self::hand($login);
        $who->post("cards/{$card}/lessons/read", []);
        foreach ($tests as $n => $test) {
            $this->upTo($card, "Begin: {$test}");
            $who->go("/floor/{$card}");
            self::workTo($who, $card, "Begin: {$test}");
            if ($n === 0 && $fails !== null) {
                [$at, $bad, $tree] = $fails;
                self::workTo($who, $card, $at);
                $step = self::openStep($card);
                self::workStep($who, $card, $bad);
                self::isPast($who, $card, $step);
                self::workTo($who, $card, "Verdict: {$test}");
                $who->press('Save the verdict')->see('It is kept as it was');
                if ($tree) {
                    $who->press('Open its fault tree')->see('Repeat the test');
                    $who->go("/floor/{$card}");
                }
                $who->press('Begin a new attempt')->see('Begin the attempt');
            }
            self::workTo($who, $card, "Verdict: {$test}");
            $verdict = self::openStep($card);
            self::workStep($who, $card);
            self::isPast($who, $card, $verdict);
            self::assertSame('passed', self::scalar("select state from test_attempts where card_id = {$card}
                and title = '{$test}' order by no desc limit 1"));
        }
        $attempt = self::number("select max(id) from test_attempts where card_id = {$card}");
        $who->go("/bench/attempts/{$attempt}")->see(end($tests))->see('Passed');
    }

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

    protected static function hand(string $login): Visitor
    {
        return self::$people[$login] ??= self::visitor($login, true);
    }

    private function cardOf(string $mark, string $code, string $login): int
    {
        $template = self::number("select id from card_templates where code = '{$code}'");
        $title = "Tests {$mark}";
        $ines = self::$people['ines'];
        $visit = self::number("select coalesce(max(id), 0) from visits where title = '{$title}'");
        if ($visit === 0) {
            $item = self::number("select id from programme_items where type_id = (select type_id from card_templates
                where id = {$template}) and line is null and component is null and template_id != {$template}
                and code not like '05%' order by id limit 1");
            $ines->post('visits', [
                'mark' => $mark, 'title' => $title, 'bay' => 'line', 'start' => '2026-05-05', 'end' => '2026-05-08',
                'items' => [$item],
            ]);
            $visit = self::number("select id from visits where title = '{$title}'");
        }
        $ines->post("visits/{$visit}/cards", ['template' => $template]);
        $card = self::number("select max(id) from cards where visit_id = {$visit} and template_id = {$template}");
        // Only the card itself is the point: what its visit does first is done, and so is the check that brought it.
        self::$stage->database()->exec("update cards set state = 'closed' where visit_id = {$visit} and id != {$card}");
        self::$stage->database()->exec("update visits set state = 'in_work' where id = {$visit}");
        self::$stage->database()->exec("update tool_loans set in_at = out_at where in_at is null and card_id in
            (select c.id from cards c join visits v on v.id = c.visit_id where v.title like 'Tests %')");
        $person = self::number("select id from people where login = '{$login}'");
        $ines->post("cards/{$card}/assignments", ['person' => $person, 'role' => 'perform']);

        return $card;
    }

    /** What stands before a step is done: it is another thread's matter. */
    private function upTo(int $card, string $title): void
    {
        $no = self::number("select min(no) from steps where card_id = {$card} and title like '{$title}%'");
        self::assertGreaterThan(0, $no, $title);
        self::$stage->database()->exec("update steps set state = 'done', result = coalesce(result, '{}')
            where card_id = {$card} and no < {$no} and state = 'open' and kind != 'rollcall'");
    }

    protected function onNotSuccessfulTest(\Throwable $t): never
    {
        foreach (self::$people as $login => $who) {
            $who->shot(sys_get_temp_dir()."/jorvel-failed-{$login}.png");
        }
        parent::onNotSuccessfulTest($t);
    }
}
