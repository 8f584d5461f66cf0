<?php

declare(strict_types=1);

namespace Tests\Browser\Bench;

use PHPUnit\Framework\Attributes\DataProvider;

/** A functional test that ships, worked in the real interface; what fails is put back, found and done again. */
abstract class ShippedCase extends BenchCase
{
    /**
     * @return iterable<string, array{string, string, string, list<string>,
     *   array{string, array<string, string>, bool}|null}> aircraft, card, who works it, its tests; the step that fails
     *   at first, what is done there, whether a fault tree opens
     */
    abstract public static function shipped(): iterable;

    /**
     * @param list<string> $tests
     * @param array{string, array<string, string>, bool}|null $fails
     */
    #[DataProvider('shipped')]
    final public function test_it_is_worked(
        string $mark,
        string $code,
        string $login,
        array $tests,
        ?array $fails,
    ): void {
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
}
