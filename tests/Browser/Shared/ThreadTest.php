<?php

declare(strict_types=1);

namespace Tests\Browser\Shared;

use Facebook\WebDriver\WebDriverBy;
use PHPUnit\Framework\Attributes\Depends;
use PHPUnit\Framework\SkippedTest;
use Tests\Browser\BrowserCase;
use Tests\Browser\Visitor;

/**
 * The thread, end to end, in the real interface: from an imported programme to a released aircraft, by four people.
 *
 * The tests run in this order and stand on each other; each is one step of the work.
 */
final class ThreadTest extends BrowserCase
{
    private static Visitor $ines;

    private static Visitor $oda;

    private static Visitor $runa;

    private static Visitor $tor;

    private static string $card = '';

    /** The card that makes what is carried safe. */
    private static string $safe = '';

    private static string $visit = '';

    protected static function enter(): void
    {
        foreach (['ines', 'oda', 'runa', 'tor'] as $name) {
            self::${$name} = self::visitor($name);
        }
    }

    public function test_the_controller_brings_in_flying_and_a_programme(): void
    {
        $ines = self::$ines->go('/library')->see('Choose a programme');
        $bad = self::file(
            'bad.csv',
            "mark,date,fh,ldg\nQA-VFC,2026-05-04,30,4\nQA-ZZZ,2026-05-04,2,1\nQA-VFA,2026-05-01,1,1\n",
        );
        $this->choose($bad);
        $ines->see('3 lines are wrong. The whole file was refused and nothing was changed.');
        $ines->see('line 2, fh: 30 hours do not fit into one day');
        $ines->see('line 3, mark: there is no aircraft "QA-ZZZ"');
        $ines->see('line 4, date: QA-VFA is counted to the end of 2026-05-04 already');

        $this->choose(dirname(__DIR__, 3).'/database/demo/import/flying-2026-05-04.csv');
        $ines->see('Applying this changes 4 counters');
        self::assertSame(
            '2026-05-03',
            self::scalar("select counters_as_of from aircraft where mark = 'QA-VFC'"),
            'a preview changes nothing',
        );
        $ines->press('Apply')->see('Applied: 4 counters changed.');
        self::assertSame('2026-05-04', self::scalar("select counters_as_of from aircraft where mark = 'QA-VFC'"));

        $this->choose(dirname(__DIR__, 3).'/database/demo/import/programme-SKV.json');
        $ines->see('Applying this changes 2 items')->see('new item')->see('350 ldg')->see('320 ldg');
        $ines->press('Apply')->see('Applied: 2 items changed.');
        self::assertSame(
            '92',
            self::scalar('select count(*) from programme_items i join aircraft_types t on t.id = i.type_id where '
                ."t.code = 'SKV'"),
        );
    }

    #[Depends('test_the_controller_brings_in_flying_and_a_programme')]
    public function test_fleet_shows_what_drives_each_aircraft(): void
    {
        $ines = self::$ines->go('/fleet');
        $row = $ines->find('[data-mark="QA-VFC"]')->getText();
        self::assertStringContainsString('Propeller governor check', $row);
        self::assertStringContainsString('41 flight hours', $row, 'the 46.5 h left less the 5.5 h just brought in');
        self::assertCount(20, $ines->browser->findElements(WebDriverBy::cssSelector('[data-mark]')));
        $ines->click('[data-mark="QA-VFC"]')->see('41 flight hours from now');
        $ines->click('[data-item="27-31"] button[aria-label^="Why"]')->see('keeps the plan: late work gains nothing');
        $ines->click('[data-item="12-31"] button[aria-label^="Why"]')->see('counts from when it was done');
    }

    #[Depends('test_fleet_shows_what_drives_each_aircraft')]
    public function test_a_visit_is_made_and_people_are_put_on_its_card(): void
    {
        $ines = self::$ines;
        $ines->click('[data-item="61-21"] input[type="checkbox"]')->press('Make a visit of 1, 5 h');
        $ines->press('Make the visit and its 1 card')->see('nobody to work it');
        self::$visit = basename((string) parse_url($ines->browser->getCurrentURL(), PHP_URL_PATH));
        self::$card = self::scalar('select id from cards where visit_id = '.(int) self::$visit);

        $ines->press('Assign');
        foreach ([
            'T33' => 'has no SKV rating', 'T19' => 'needs a valid engine skill: it has lapsed',
            'T38' => 'is a trainee: put the supervisor, Stig Omdal, on the card first', 'T22' => 'has no engine skill',
        ] as $stamp => $why) {
            self::assertStringContainsString($why, $ines->find("[data-person=\"{$stamp}\"]")->getText());
        }
        $ines->click('[data-person="T33"] button')->see('Pell Harrow has no SKV rating. Nobody was assigned.');
        $ines->click('[data-person="T27"] button')->see('one card is open');
        $ines->press('Inspector');
        $ines->click('[data-person="I04"] button')->see('Runa Vale I04 inspects');
        $ines->press('Assign')->click('[data-person="I04"] button')->see('would not be independent');
        self::assertSame('2', self::scalar('select count(*) from assignments where card_id = '.(int) self::$card));
    }

    #[Depends('test_a_visit_is_made_and_people_are_put_on_its_card')]
    public function test_the_technician_works_the_card(): void
    {
        $oda = self::$oda->go('/floor')->see('Mine')->press('', '//li[.//b[text()="Propeller governor check"]]');
        $oda->find('[data-testid="step-1"]');
        $oda->see('Stay out of the propeller arc')->confirm('Go on');
        $oda->find('[data-testid="step-2"]');
        $oda->press('Done');
        $oda->find('[data-testid="step-3"]');
        $oda->confirm('Fitted')->see('Collar on breaker P7');

        // A comma is understood, another unit is not; a reading too near its limit for the gauge is kept but does not
        // pass.
        $oda->find('[data-testid="step-4"]');
        $oda->tool('PG-21')->type('entry', '49 psi')->see('the reading is wanted in bar, not in "psi"');
        $oda->type('entry', '46,2')->see('too near the limit for this tool')->press('Save the reading')
            ->see('Kept: 46.2 bar');
        $oda->type('entry', '48,5')->see('inside, 2.5 bar in hand')->press('Save the reading');

        $oda->find('[data-testid="step-5"]');
        $oda->tool('TW-104');
        $oda->type('entry', '20.5')->see('has no valid calibration: it ran out on Thu 30 Apr')
            ->press('Save the reading');
        $oda->find('[data-testid="trouble"]');
        self::assertSame(
            '0',
            self::scalar("select count(*) from readings where point = 'governor mounting nuts'"),
            'an expired tool keeps no reading',
        );
        $oda->tool('TW-108');
        $oda->see('inside, 1 N·m in hand')->press('Save the reading');
    }

    #[Depends('test_the_technician_works_the_card')]
    public function test_a_hold_and_a_rigging_sheet(): void
    {
        $oda = self::$oda;
        $oda->find('[data-testid="step-6"]');
        $oda->press('Set up; start the hold');
        $oda->browser->wait(25, 100)
            ->until(static fn(): bool => ! str_contains($oda->text(), 'Set up; start the hold'));
        // A reload in mid-hold loses nothing: the hold goes on at the server.
        $oda->browser->navigate()->refresh();
        $oda->find('input[name="entry"]');
        $oda->type('entry', '44')->see('inside, 4 bar in hand')->press('Save the reading');

        $oda->find('[data-testid="step-7"]');
        self::must($oda, '72');
        $oda->tool('PR-05')->type('high', '64.7')->type('pickup', '19,5')->type('feather', '85')
            ->press('Save the as-found readings');
        $oda->see('2 adjusters bring every reading inside, with a chance of 98 %.');
        $moves = $oda->find('[data-testid="moves"]')->getText();
        self::assertStringContainsString('High-speed screw', $moves);
        self::assertStringContainsString('2 turns clockwise', $moves);
        self::assertStringContainsString('1.5 turns longer', $moves);
        $oda->see(
            'To be read again, because these touch them: Governor arm at the high-speed stop, Pick-up angle at the '
                .'lever, Arm at the feather stop',
        );
        // Not quite as it is advised, and that is what counts.
        $oda->type('turned-rod', '0.5')->press('This was turned');
        self::must($oda, '74');
        $oda->type('high', '62.6')->type('pickup', '20.6')->type('feather', '85.2')->press('Save the as-left readings');
        $oda->see('foretold')->find('[data-testid="moves"]');
        $oda->press('This was turned');
        self::must($oda, '74');
        $oda->type('high', '62.6')->type('pickup', '22.3')->type('feather', '85.8')->press('Save the as-left readings');
        $oda->find('[data-testid="step-8"]');
        self::assertSame('2', self::scalar(
            'select count(*) from rig_runs where step_id = (select max(step_id) from rig_runs)',
        ));
    }

    /** What must hold before anything is read. */
    private static function must(Visitor $oda, string $oil): void
    {
        $oda->type('holds:oil', $oil)->click('input[name="holds:friction"]')->click('input[name="holds:joined"]');
    }

    /** The number of the finding that this thread raises. */
    private static function finding(): string
    {
        $raised = "select number from findings where extent like 'de-ice boot edge lifted%'";
        self::until(static fn(): bool => self::scalar($raised) !== '');

        return self::scalar($raised);
    }

    #[Depends('test_a_hold_and_a_rigging_sheet')]
    public function test_a_finding_is_raised_and_the_card_signed_once(): void
    {
        $oda = self::$oda;
        $oda->press('Something is wrong')->type('place', 'propeller 1, blade 3')
            ->type('extent', 'de-ice boot edge lifted over 40 mm');
        $oda->press('Raise the finding');
        $oda->find('[data-finding="'.self::finding().'"]');
        $oda->press('Looked at; nothing more found');
        $oda->find('[data-testid="step-9"]');
        $oda->confirm('Removed')->see('Every step is done.');
        self::assertSame(
            '0',
            self::scalar('select count(*) from safing_devices where removed_at is null and card_id = '.self::$card),
        );

        $oda->press('Sign the card')->type('stamp', 'T27')->type('pin', '0000');
        self::assertFalse(
            $oda->browser->findElement(WebDriverBy::xpath('//form//button[.="Sign"]'))->isEnabled(),
            'not before what went out is back',
        );
        // What went out on the card is counted in with the signature.
        $oda->backIn()->press('Sign', '//form')->see('Stamp or PIN is wrong. Nothing was signed');
        $oda->type('pin', '2741');
        // Two clicks in one breath.
        $oda->browser->executeScript(
            "const b = [...document.querySelectorAll('form button')].find(b => b.textContent.startsWith('Sign')); "
                .'b.click(); b.click();',
        );
        $oda->see('waits for its independent inspection');
        self::assertSame('1', self::scalar(
            "select count(*) from records where what = 'card.signed' and subject = 'card:".self::$card."'",
        ));
    }

    #[Depends('test_a_finding_is_raised_and_the_card_signed_once')]
    public function test_the_controller_defers_the_finding(): void
    {
        $ines = self::$ines->go('/deferrals');
        $ines->see('propeller 1, blade 3')->click('[data-finding="'.self::finding().'"] a[href*="decide"]')
            ->see('Runs out at the end of Fri 15 May, in 10 days');
        $ines->press('Defer under 61-L1')->choose('position', 'propeller 1')->type('stamp', 'C01')->type('pin', '1101')
            ->press('Sign', '//form')->see('not made safe yet');
        self::$safe = self::scalar('select card_id from deferral_cards order by id desc limit 1');
        $row = $ines->go('/deferrals')->find('[data-deferral="'.self::finding().'"]')->getText();
        self::assertStringContainsString('Propeller de-ice boot segment', $row);
        self::assertStringContainsString('Not made safe yet: it does not fly with it.', $row);
    }

    #[Depends('test_the_controller_defers_the_finding')]
    public function test_it_is_made_safe_and_carried_from_then_on(): void
    {
        $ines = self::$ines;
        $ines->post('cards/'.self::$safe.'/assignments', [
            'person' => self::number("select id from people where login = 'noor'"), 'role' => 'perform',
        ]);
        $noor = self::visitor('noor', true)->go('/floor/'.self::$safe);
        $noor->find('[data-testid="step-1"]');
        $noor->confirm('Go on');
        $noor->find('[data-testid="step-2"]');
        $noor->confirm('Fitted')->find('[data-testid="step-3"]');
        $noor->press('dead, the rest works')->press('Save the answer')->find('[data-testid="step-4"]');
        $noor->press('Done')->see('Every step is done')->press('Sign the card')
            ->backIn()->type('stamp', 'T44')->type('pin', '4450')->press('Sign', '//form')->see('is closed');
        $ines->go('/fleet')->find('[data-mark="QA-VFC"]');
        self::assertStringContainsString(
            'Propeller de-ice boot segment, runs out 15 May',
            (string) $ines->browser->executeScript('return '
                ."document.querySelector('[data-mark=\"QA-VFC\"]').textContent"),
            'the fuse on the reach',
        );
    }

    #[Depends('test_it_is_made_safe_and_carried_from_then_on')]
    public function test_release_is_blocked_until_another_has_inspected(): void
    {
        $tor = self::$tor->go('/release/'.self::$visit);
        $tor->find('[data-code~="duplicate_missing"]');
        $tor->click('[data-code~="card_open"]')->see('waits for its independent inspection');

        self::assertStringNotContainsString(
            'Inspect and sign',
            self::$oda->go('/floor/'.self::$card)->see('waits for its independent inspection')->text(),
            'the one who worked it is not offered the inspection',
        );
        $runa = self::$runa->go('/floor')->see('For you to inspect')->see('Propeller governor check');
        $runa->go('/floor/'.self::$card)->press('Inspect and sign')->type('stamp', 'I04')->type('pin', '4410');
        self::assertFalse(
            $runa->browser->findElement(WebDriverBy::xpath('//form//button[.="Sign"]'))->isEnabled(),
            'not before everything it covers is looked at',
        );
        foreach (['assembly', 'torque', 'locking'] as $covered) {
            $runa->browser->findElement(WebDriverBy::xpath("//form//label[contains(., '{$covered}')]"))->click();
        }
        $runa->press('Sign', '//form');
        $runa->see('is closed');
    }

    #[Depends('test_release_is_blocked_until_another_has_inspected')]
    public function test_the_certifier_releases_and_the_papers_print(): void
    {
        $tor = self::$tor->go('/release/'.self::$visit)->see('Nothing stands in the way');
        $tor->press('Sign the release')->type('stamp', 'X02')->type('pin', '5520')->press('Sign', '//form');
        $tor->see('is released to service under JV-2026-0011')->see('61-21 Propeller governor check: next at');
        self::assertSame('2026-05-05', self::scalar(
            'select s.date from item_statuses s join programme_items i on i.id = s.item_id join aircraft a on '
                ."a.id = s.aircraft_id where a.mark = 'QA-VFC' and i.code = '61-21'",
        ));
        foreach ([
            'certificate' => ['JV-2026-0011', 'Tor Aldis', self::finding()],
            'cards' => ['Governor mounting nuts', '20.5 N·m', 'Runa Vale'],
        ] as $paper => $words) {
            $pdf = (string) $tor->browser->executeAsyncScript(
                "const done = arguments[0]; fetch('/api/release/".self::$visit
                    ."/{$paper}.pdf').then(r => r.blob()).then(b => { const f = new FileReader(); f.onload = () => "
                    ."done(f.result.split(',')[1]); f.readAsDataURL(b); });",
            );
            file_put_contents($file = tempnam(sys_get_temp_dir(), 'pdf'), (string) base64_decode($pdf, true));
            $text = (string) shell_exec('pdftotext -layout '.escapeshellarg($file).' -');
            foreach ($words as $word) {
                self::assertStringContainsString($word, $text);
            }
        }
        self::$ines->go('/fleet/QA-VFC')->see('can fly until');
        self::assertStringNotContainsString('41 flight hours', self::$ines->text());
    }

    #[Depends('test_the_certifier_releases_and_the_papers_print')]
    public function test_the_record_chain_is_whole_until_somebody_tampers_with_it(): void
    {
        [$code, $said] = self::$stage->artisan('jorvel:verify');
        self::assertSame(0, $code, $said);
        $db = self::$stage->database();
        $id = (int) $db->query("select id from records where what = 'reading.taken' and data like '%46.2%' limit 1")
            ->fetchColumn();
        $db->exec('drop trigger records_no_update');
        $db->exec("update records set data = replace(data, '46.2', '47.2') where id = {$id}");
        [$code, $said] = self::$stage->artisan('jorvel:verify');
        self::assertSame(1, $code);
        self::assertStringContainsString("Record {$id} is broken: its contents do not match its hash", $said);
    }

    /** What each of the four saw when it went wrong, beside the system's temporary files. */
    protected function onNotSuccessfulTest(\Throwable $t): never
    {
        if (! $t instanceof SkippedTest) {
            foreach ([
                'ines' => self::$ines, 'oda' => self::$oda, 'runa' => self::$runa, 'tor' => self::$tor,
            ] as $name => $visitor) {
                $visitor->shot(sys_get_temp_dir()."/jorvel-failed-{$name}.png");
            }
        }
        parent::onNotSuccessfulTest($t);
    }

    private function choose(string $path): void
    {
        self::$ines->browser->findElement(WebDriverBy::cssSelector('input[type="file"]'))->sendKeys($path);
    }

    private static function file(string $name, string $text): string
    {
        $path = sys_get_temp_dir().'/jorvel-'.getmypid()."-{$name}";
        file_put_contents($path, $text);

        return $path;
    }
}
