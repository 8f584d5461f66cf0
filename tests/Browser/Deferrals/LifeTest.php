<?php

declare(strict_types=1);

namespace Tests\Browser\Deferrals;

use PHPUnit\Framework\Attributes\Depends;
use Tests\Browser\BrowserCase;
use Tests\Browser\Visitor;

/**
 * The life of a deferral in the real interface: a crew's report, the finding, the decision, made safe, released with
 * what stays on it, three days of sectors, the part there, closed, and back again as a repeat.
 *
 * The tests run in this order and stand on each other.
 */
final class LifeTest extends BrowserCase
{
    private static Visitor $ines;

    private static Visitor $noor;

    private static Visitor $tor;

    private static int $finding = 0;

    private static int $deferral = 0;

    protected static function enter(): void
    {
        self::$ines = self::visitor('ines');
        self::$noor = self::visitor('noor', true);
        self::$tor = self::visitor('tor');
    }

    public function test_a_report_of_the_crew_becomes_a_finding(): void
    {
        $ines = self::$ines->go('/deferrals/reports')->press('Enter a report');
        $ines->choose('mark', 'QC-TAA')->type('text', 'Left landing light dark on approach')->type('crew', 'captain');
        $ines->press('Enter it', '//form')->see('Left landing light dark on approach');
        $ines->go('/deferrals/reports/'.self::number("select id from reports where text like 'Left landing%'"));
        $ines->see('33-41')->press('It is a finding')->type('place', 'left wing, landing light')
            ->press('Raise it', '//form')->see('Its finding');
        self::$finding = self::number("select finding_id from reports where text like 'Left landing%'");
        self::assertSame('33-41', self::scalar('select chapter from findings where id = '.self::$finding));
    }

    #[Depends('test_a_report_of_the_crew_becomes_a_finding')]
    public function test_it_is_decided_by_what_fits_with_its_clock(): void
    {
        $ines = self::$ines->go('/deferrals/decide/'.self::$finding);
        self::assertStringContainsString('covers it', $ines->find('[data-option="33-L1"]')->getText());
        $ines->press('Defer under 33-L1')->choose('position', 'left')->type('stamp', 'C01')->type('pin', '1101')
            ->press('Sign', '//form');
        $ines->see('not made safe yet')->see('The aircraft does not fly with it until that is signed');
        self::$deferral = self::number('select id from deferrals where finding_id = '.self::$finding);
        $ines->go('/deferrals/sectors')->see('QC-TAA');
    }

    #[Depends('test_it_is_decided_by_what_fits_with_its_clock')]
    public function test_made_safe_and_released_with_the_collar_on_it(): void
    {
        $visit = self::number('select c.visit_id from findings f join cards c on c.id = f.card_id where f.id = '
            .self::$finding);
        foreach (self::cards("visit_id = {$visit} and state <> 'closed'") as $card) {
            $this->work($card);
        }
        self::assertSame(
            self::$finding,
            self::number('select carried_by from safing_devices where carried_by = '.self::$finding),
        );
        $noor = self::$noor->go('/floor/line');
        $noor->click('[data-line="QC-TAA"] [data-check="report"] a')->press('Sign that it is good')
            ->type('stamp', 'T44')
            ->type('pin', '4450')->press('Sign', '//form');
        $noor->browser->wait(10, 100)
            ->until(static fn(): bool => self::scalar("select state from visits where id = {$visit}")
            === 'released', 'the report is signed good');
        self::assertSame('released', self::scalar("select state from visits where id = {$visit}"));
    }

    #[Depends('test_made_safe_and_released_with_the_collar_on_it')]
    public function test_three_days_of_sectors_and_the_part_comes(): void
    {
        $ines = self::$ines->go('/deferrals/sectors')->see('QC-TAA may fly all of its 2 flights')
            ->see('33-L1 Landing light, one of two, left');
        $ines->go('/deferrals/'.self::$deferral)->see('in 10 days')->press('add')->choose('kind', 'answer')
            ->type('what', 'Sealed unit, from the maker');
        $ines->press('Add it', '//form')->see('nobody knows when');
        self::$stage->database()->exec("update settings set value = value + 3 * 86400 where name = 'clock_offset'");
        $ines->go('/deferrals/'.self::$deferral)->see('in 7 days')->press('is there')->see('Everything there');
        $ines->press('Plan it')->see('being closed. Next: fixed');
        self::assertSame(2, self::number('select count(*) from deferral_cards where part != "safe" and deferral_id = '
            .self::$deferral));
    }

    #[Depends('test_three_days_of_sectors_and_the_part_comes')]
    public function test_closed_with_nothing_skipped_and_it_comes_back_as_a_repeat(): void
    {
        $visit = self::number('select c.visit_id from deferral_cards d join cards c on c.id = d.card_id where d.part = '
            .'"fix" '
            .'and d.deferral_id = '.self::$deferral);
        // Its day comes.
        self::$stage->database()->exec("update settings set value = value + 86400 where name = 'clock_offset'");
        foreach (self::cards("visit_id = {$visit} and state <> 'closed'") as $card) {
            $this->work($card);
        }
        self::assertSame(
            0,
            self::number('select count(*) from safing_devices where removed_at is null and carried_by = '
            .self::$finding),
        );
        $ines = self::$ines->go('/deferrals/'.self::$deferral)->press('The placard is off')->see('close the log');
        $ines->press('Close the log')->type('how', 'sealed unit changed')->type('stamp', 'C01')->type('pin', '1101')
            ->press('Sign', '//form')->see(': closed Sat 9 May');
        $ines->go('/deferrals/reports')->press('Enter a report')->choose('mark', 'QC-TAA')
            ->type('text', 'Landing light on the left wing dark again')->type('crew', 'captain')
            ->press('Enter it', '//form')
            ->see('dark again');
        $ines->go('/deferrals/reports/'.self::number("select id from reports where text like '%dark again'"))
            ->see(self::scalar('select number from findings where id = '.self::$finding));
        $ines->press('It is a finding')->type('place', 'left wing, landing light')->press('Raise it', '//form')
            ->see('Its finding');
        self::assertSame(self::$finding, self::number('select repeat_of from findings order by id desc limit 1'));
    }

    /** @return list<int> */
    private static function cards(string $where): array
    {
        return array_map(intval(...), self::$stage->database()->query("select id from cards where {$where} order by id")
            ->fetchAll(\PDO::FETCH_COLUMN));
    }

    /** Works a card step by step, as its steps ask for it, and signs it. */
    private function work(int $card): void
    {
        self::$ines->post("cards/{$card}/assignments", [
            'person' => self::number("select id from people where login = 'noor'"), 'role' => 'perform',
        ]);
        $noor = self::$noor->go("/floor/{$card}");
        $steps = self::$stage->database()->query("select no, kind, spec from steps where card_id = {$card} order by no")
            ->fetchAll(\PDO::FETCH_ASSOC);
        foreach ($steps as $step) {
            $noor->find("[data-testid=\"step-{$step['no']}\"]");
            $spec = json_decode($step['spec'], true);
            match ($step['kind']) {
                'caution' => $spec['level'] === 'warning' ? $noor->confirm('Go on') : $noor->press('Go on'),
                'safing_fit' => $noor->confirm('Fitted'),
                'safing_remove' => $noor->confirm('Removed'),
                'finding_prompt' => $noor->press('Looked at'),
                'answer' => $noor->press($spec['choices'][0]['title'])->press('Save the answer'),
                'mark' => $noor->type('entry', 'dark on both positions')->press('Marked'),
                default => $noor->press('Done'),
            };
        }
        $noor->see('Every step is done')->press('Sign the card');
        $noor->backIn()->type('stamp', 'T44')->type('pin', '4450')->press('Sign', '//form')->see('is closed');
    }

    protected function onNotSuccessfulTest(\Throwable $t): never
    {
        foreach (['ines', 'noor', 'tor'] as $who) {
            self::${$who}->shot(sys_get_temp_dir()."/jorvel-failed-{$who}.png");
        }
        parent::onNotSuccessfulTest($t);
    }
}
