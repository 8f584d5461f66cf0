<?php

declare(strict_types=1);

namespace Tests\Browser\Crew;

use Facebook\WebDriver\WebDriverBy;
use Tests\Browser\BrowserCase;
use Tests\Browser\Visitor;

/**
 * Somebody new from the first entry to the first signature, a trainee under their supervisor, and goods taken in, in
 * real browsers.
 */
final class PeopleTest extends BrowserCase
{
    private static Visitor $ines;

    protected static function enter(): void
    {
        self::$ines = self::visitor('ines');
    }

    private function pick(Visitor $who, string $name, string $value): void
    {
        $who->find("select[name=\"{$name}\"]")->findElement(WebDriverBy::cssSelector("option[value=\"{$value}\"]"))
            ->click();
    }

    public function test_somebody_is_entered_holds_something_and_chooses_a_pin_of_their_own(): void
    {
        $ines = self::$ines->go('/crew');
        $ines->find('table');
        $ines->press('Enter somebody')->type('name', 'Petra Lund')->type('stamp', 't27')->type('login', 'petra')
            ->type('password', 'given-by-ines')->type('pin', '7305');
        $ines->press('Enter Petra Lund')->see("Stamp T27 is Oda Fenn's")->type('stamp', 't90')
            ->press('Enter Petra Lund')->see('holds no authority');
        $id = self::number("select id from people where stamp = 'T90'");
        foreach ([
            ['skill', 'airframe', ''], ['rating', 'OLN', ''], ['authority', 'perform', '2026-05-20'],
        ] as [$kind, $value, $until]) {
            $ines->press('Add a qualification')->find('select[name="kind"]');
            $this->pick($ines, 'kind', $kind);
            $this->pick($ines, 'value', $value);
            $until === ''
                ? $ines->browser->findElement(WebDriverBy::xpath('//label[contains(., "does not lapse")]'))->click()
                : $ines->browser->executeScript(
                    'const i = arguments[0]; Object.getOwnPropertyDescriptor(HTMLInputElement.prototype, '
                    .'"value").set.call(i, arguments[1]); i.dispatchEvent(new Event("input", { bubbles: true }))',
                    [$ines->find('input[name="until"]'), $until],
                );
            $ines->type('paper', 'file T90, sheet 1')->press('Enter it', '//form')
                ->find("[data-qualification=\"{$kind}:{$value}\"]");
        }
        $ines->see('Petra Lund loses the authority to work cards in 15 days; no planned card is hit.');

        $petra = self::visitor('petra', password: 'given-by-ines');
        $petra->see('Your PIN was given to you by somebody else')->press('Choose my PIN')->type('now', 'given-by-ines')
            ->type('pin', '1234')->type('again', '1234');
        $petra->press('Save them', '//form')
            ->see('soon guessed')->type('pin', '8261')->type('again', '8261')->press('Save them', '//form')
            ->see('takes a code from a second person');
        // Whoever gave the password is not offered to make it; whoever certifies is.
        self::assertStringNotContainsString('Code for a PIN', $ines->text());
        $tor = self::visitor('tor');
        $tor->go("/crew/people/{$id}")->press('Code for a PIN')->type('stamp', 'X02')->type('pin', '5520')
            ->press('Sign', '//form')
            ->see('Tell it to Petra Lund in person');
        self::assertSame(1, preg_match('/\b\d{8}\b/', $tor->text(), $code));
        $petra->type('code', $code[0])->press('Save them', '//form')->see('choose a new one together with the PIN');
        $petra->type('password', 'a sentence of my own')->press('Save them', '//form');
        $petra->browser->wait(20, 100)
            ->until(static fn(): bool => ! str_contains($petra->text(), 'Your PIN was given'));
        self::assertSame(1, self::number("select own_pin from people where id = {$id}"));

        $ines->press('Renew', '//li[@data-qualification="authority:perform"]')
            ->press('withdraw')->type('paper', 'left the course')->press('Withdraw it', '//form')
            ->see('holds no authority');
        $ines->see('the authority to work cards withdrawn: left the course');
    }

    public function test_two_people_put_on_places_while_the_first_is_still_judged_both_stay(): void
    {
        $ines = self::$ines->go('/crew/shift');
        $ines->find('[data-slot][data-person=""]');
        $open = (array) $ines->browser->executeScript(
            'return [...document.querySelectorAll(`[data-slot][data-person=""]`)]'
                .'.filter((s) => s.textContent.includes("could take it")).map((s) => s.dataset.slot)',
        );
        self::assertGreaterThan(1, count($open));
        $two = [$open[0], $open[count($open) - 1]];
        self::slow($ines, 1500);
        foreach ($two as $n => $slot) {
            $ines->click("[data-slot=\"{$slot}\"] button")->find('[role="dialog"] li button:enabled');
            // Not the same person twice.
            $able = $ines->browser->findElements(WebDriverBy::cssSelector('[role="dialog"] li button:enabled'));
            $able[$n === 0 ? 0 : count($able) - 1]->click();
        }
        self::slow($ines, 0);
        $who = static fn(): array => array_map(
            static fn(string $slot): string
                => (string) $ines->find("[data-slot=\"{$slot}\"]")->getAttribute('data-person'),
            $two,
        );
        $ines->browser->wait(20)->until(static fn(): bool => ! in_array('', $who(), true));
        $put = $who();
        $ines->press('Save this crew');
        $ines->browser->wait(20)->until(static fn(): bool => self::number('select count(*) from shift_places') > 1);
        foreach (array_combine($two, $put) as $slot => $person) {
            self::assertSame($person, self::scalar("select person_id from shift_places where slot = '{$slot}'"));
        }
    }

    /** @param int $ms how long each answer takes to come */
    private static function slow(Visitor $who, int $ms): void
    {
        $who->browser->executeCustomCommand('/session/:sessionId/chromium/network_conditions', 'POST', [
            'network_conditions' => [
                'offline' => false, 'latency' => $ms, 'download_throughput' => -1, 'upload_throughput' => -1,
            ],
        ]);
    }

    public function test_a_trainee_works_a_step_and_the_supervisor_signs(): void
    {
        $card = self::number("select id from cards where title = 'Flap travel timing' and state = 'in_work'");
        $lio = self::visitor('lio', true);
        $lio->go("/floor/{$card}")->find('[data-testid="step-4"]');
        $lio->see('Lio Kest (under supervision)')->tool('FG-11')->type('entry', '0.3')->see('inside')
            ->press('Save the reading')->find('[data-testid="step-5"]');
        self::$stage->database()->exec(
            "update steps set state = 'done', done_by = (select id from people where login = 'lio') where "
                    ."card_id = {$card} and state = 'open'",
        );
        $lio->go("/floor/{$card}")->press('Sign the card')->backIn()->type('stamp', 'T38')->type('pin', '3890')
            ->press('Sign', '//form')
            ->see('your supervisor signs this card');
        $stig = self::visitor('stig', true);
        $pin = array_column(
            json_decode((string) file_get_contents(dirname(__DIR__, 3).'/database/demo/people.json'), true),
            'pin',
            'login',
        )['stig'];
        $stig->go("/floor/{$card}")->press('Sign the card')->backIn()->type('stamp', 'T45')->type('pin', $pin)
            ->press('Sign', '//form');
        $stig->browser->wait(20, 100)
            ->until(static fn(): bool => ! str_contains($stig->text(), 'Counted back in'), $stig->text());
        $stig->see('Stig Omdal (T45)');
        self::assertSame(
            'signed',
            self::$stage->database()->query("select state from cards where id = {$card}")->fetchColumn(),
        );
    }

    public function test_goods_come_in_and_a_batch_is_counted(): void
    {
        $ines = self::$ines->go('/stores/parts/JV-3242-11');
        $ines->see('2 pieces short until the order comes')->press('Take goods in')->type('batch', 'B3242-B')
            ->type('paper', 'delivery note 4300')->press('Take it in', '//form');
        $ines->see('enough for what is reserved')->find('[data-batch="B3242-B"]');
        self::assertSame(
            0,
            self::number('select count(*) from part_orders o join parts p on p.id = o.part_id where p.number = '
                ."'JV-3242-11'"),
        );
        $ines->press('Count', '//li[@data-batch="B3242-B"]')
            ->press('scrapped')->type('quantity', '9')->type('why', 'box was wet')->press('Enter it', '//form')
            ->see('Batch B3242-B holds 8');
        $ines->type('quantity', '2')->press('Enter it', '//form')->see('box was wet');
        self::assertSame(6, self::number("select quantity from part_batches where batch = 'B3242-B'"));
    }
}
