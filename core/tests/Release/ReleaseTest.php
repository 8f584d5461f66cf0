<?php

declare(strict_types=1);

namespace Jorvel\Core\Tests\Release;

use Jorvel\Core\Contract\Door;
use Jorvel\Core\Shared\InputError;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

final class ReleaseTest extends TestCase
{
    private const CARD = [
        'id' => 'k', 'state' => 'closed', 'steps_open' => 0, 'critical' => false, 'performed_by' => ['t1', 't2'],
        'recheck_open' => [], 'revision_current' => true,
    ];

    private const CERTIFIER = ['id' => 'x', 'authority_valid' => true, 'rated' => true];

    /**
     * @return iterable<string, array{array<string, mixed>, list<string>}> what differs on one card, and the codes it
     *   gives
     */
    public static function cards(): iterable
    {
        yield 'a closed card' => [[], []];
        yield 'an open card' => [['state' => 'open'], ['card_open']];
        yield 'a card in work with open steps'
            => [['state' => 'in_work', 'steps_open' => 2], ['card_open', 'steps_open']];
        yield 'closed, but with an open step' => [['steps_open' => 1], ['steps_open']];
        yield 'critical and not inspected' => [['critical' => true], ['duplicate_missing']];
        yield 'critical and inspected by another' => [['critical' => true, 'duplicate_by' => 'i'], []];
        yield 'inspected by one who performed' => [['critical' => true, 'duplicate_by' => 't2'], ['not_independent']];
        yield 'judged also where no inspection was due' => [['duplicate_by' => 't1'], ['not_independent']];
        yield 'several points to read again are one blocker' => [['recheck_open' => ['a', 'b']], ['recheck_open']];
        yield 'an old revision' => [['revision_current' => false], ['revision_stale']];
    }

    /**
     * @param array<string, mixed> $differs
     * @param list<string> $codes
     */
    #[DataProvider('cards')]
    public function test_one_card(array $differs, array $codes): void
    {
        self::assertSame($codes, $this->codes(['cards' => [[...self::CARD, ...$differs]]]));
    }

    /** @return iterable<string, array{array<string, mixed>, list<string>}> */
    public static function rest(): iterable
    {
        $pin = ['id' => 's', 'kind' => 'pin', 'place' => 'nose gear', 'removed' => false];
        $valid = ['id' => 'f', 'state' => 'deferred', 'deferral_valid' => true];
        $invalid = ['id' => 'f', 'state' => 'deferred', 'deferral_valid' => false];
        yield 'nothing at all' => [[], []];
        yield 'a good reading' => [['readings' => [['id' => 'r', 'verdict' => 'pass']]], []];
        yield 'a failed reading' => [['readings' => [['id' => 'r', 'verdict' => 'fail']]], ['reading_bad']];
        yield 'a marginal reading' => [['readings' => [['id' => 'r', 'verdict' => 'marginal']]], ['reading_bad']];
        yield 'an invalid reading' => [['readings' => [['id' => 'r', 'verdict' => 'invalid']]], ['reading_bad']];
        yield 'an open finding' => [['findings' => [['id' => 'f', 'state' => 'open']]], ['finding_open']];
        yield 'a fixed finding' => [['findings' => [['id' => 'f', 'state' => 'fixed']]], []];
        yield 'a valid deferral' => [['findings' => [$valid]], []];
        yield 'a deferral that does not stand' => [['findings' => [$invalid]], ['deferral_invalid']];
        yield 'a pin left in' => [['safing' => [$pin]], ['safing_left']];
        yield 'a pin taken out' => [['safing' => [[...$pin, 'removed' => true]]], []];
        yield 'a pin that a valid deferral carries'
            => [['findings' => [$valid], 'safing' => [[...$pin, 'carried_by' => 'f']]], []];
        yield 'a pin that an invalid one carries' => [
            ['findings' => [$invalid], 'safing' => [[...$pin, 'carried_by' => 'f']]],
            ['deferral_invalid', 'safing_left'],
        ];
        yield 'a pin that an open finding carries' => [
            ['findings' => [['id' => 'f', 'state' => 'open']], 'safing' => [[...$pin, 'carried_by' => 'f']]],
            ['finding_open', 'safing_left'],
        ];
        yield 'a pin that a fixed finding carries' => [
            ['findings' => [['id' => 'f', 'state' => 'fixed']], 'safing' => [[...$pin, 'carried_by' => 'f']]],
            ['safing_left'],
        ];
        yield 'a tool out' => [['tools_out' => ['w']], ['tool_out']];
        yield 'authority lapsed' => [
            ['certifier' => [...self::CERTIFIER, 'authority_valid' => false]], ['not_authorised'],
        ];
        yield 'not rated' => [['certifier' => [...self::CERTIFIER, 'rated' => false]], ['not_authorised']];
        yield 'neither is one blocker'
            => [
                ['certifier' => [...self::CERTIFIER, 'authority_valid' => false, 'rated' => false]], ['not_authorised'],
            ];
    }

    /**
     * @param array<string, mixed> $differs
     * @param list<string> $codes
     */
    #[DataProvider('rest')]
    public function test_everything_else(array $differs, array $codes): void
    {
        self::assertSame($codes, $this->codes($differs));
    }

    /** @return iterable<string, array{array<string, mixed>, string}> */
    public static function doubles(): iterable
    {
        $safing = ['id' => 'x', 'kind' => 'pin', 'place' => 'nose gear', 'removed' => false];
        yield 'cards' => [['cards' => [self::CARD, [...self::CARD, 'state' => 'open']]], 'cards.1.id'];
        yield 'findings' => [
            ['findings' => [['id' => 'f', 'state' => 'fixed'], ['id' => 'f', 'state' => 'open']]], 'findings.1.id',
        ];
        yield 'safing' => [['safing' => [[...$safing, 'removed' => true], $safing]], 'safing.1.id'];
        yield 'readings' => [
            ['readings' => [['id' => 'r', 'verdict' => 'fail'], ['id' => 'r', 'verdict' => 'pass']]], 'readings.1.id',
        ];
    }

    /** @param array<string, mixed> $differs */
    #[DataProvider('doubles')]
    public function test_no_two_of_a_name_hide_each_other(array $differs, string $path): void
    {
        try {
            $this->release($differs);
            self::fail('two of a name were taken');
        } catch (InputError $e) {
            self::assertSame($path, $e->path);
        }
    }

    public function test_by_code_then_in_input_order_and_ids_come_back_as_text(): void
    {
        $answer = $this->release(['cards' => [
            [...self::CARD, 'id' => '2', 'state' => 'open', 'steps_open' => 1],
            [...self::CARD, 'id' => '1', 'state' => 'open'],
        ], 'tools_out' => ['9', '10']]);
        self::assertSame([
            ['code' => 'card_open', 'id' => '2'],
            ['code' => 'card_open', 'id' => '1'],
            ['code' => 'steps_open', 'id' => '2'],
            ['code' => 'tool_out', 'id' => '9'],
            ['code' => 'tool_out', 'id' => '10'],
        ], $answer['blockers']);
        self::assertSame('blocked', $answer['verdict']);
    }

    /**
     * @param array<string, mixed> $differs
     *
     * @return list<string>
     */
    private function codes(array $differs): array
    {
        return array_column($this->release($differs)['blockers'], 'code');
    }

    /**
     * @param array<string, mixed> $differs
     *
     * @return array{verdict: string, blockers: list<array{code: string, id: string}>}
     */
    private function release(array $differs): array
    {
        $empty = [
            'cards' => [], 'findings' => [], 'safing' => [], 'tools_out' => [], 'readings' => [],
            'certifier' => self::CERTIFIER,
        ];

        return json_decode(Door::compute('release', (string) json_encode([...$empty, ...$differs])), true);
    }
}
