<?php

declare(strict_types=1);

namespace Jorvel\Core\Tests\Contract;

use Jorvel\Core\Contract\Schema;
use Jorvel\Core\Library\Steps;
use Jorvel\Core\Shared\InputError;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** The steps of a card template: what each kind may hold, and every step of the demo world. */
final class StepSchemaTest extends TestCase
{
    private const READING = '{"reading":{"point":"p","tool_kind":"torque '
        .'wrench","limit":{"kind":"range","unit":"Nm","min":1,"max":2}}}';

    private const GOOD = [
        'caution' => '{"level":"warning"}',
        'instruction' => '{}',
        'finding_prompt' => '{}',
        'measurement' => self::READING,
        'torque' => self::READING,
        'timing' => '{"reading":{"point":"p","limit":{"kind":"max","unit":"s","max":7}},"acts":{"how":"moves","systems":["landing gear"]}}',
        'count' => '{"counts":"strokes","min":4,"max":9}',
        'hold' => '{"hold":{"seconds":5,"what":"steady"},"acts":{"how":"pressurises","systems":["hydraulics"]}}',
        'compare' => '{"point":"p","unit":"bar","within":2,"shown":{"title":"a"},"real":{"title":"b","tool_kind":"pressure gauge"}}',
        'part' => '{"part":"JV-1","quantity":1,"position":"pump","seat":true,"lubricate":"oil"}',
        'tool' => '{"tool_kind":"protractor","for":"travel"}',
        'safing_fit' => '{"device":"pin","place":"nose gear","flag":"red","against":["landing '
            .'gear"],"open_line":false,"storage":"rack 2"}',
        'safing_remove' => '{"of":3,"made":"safe"}',
        'rollcall' => '{"places":["nose","tail"],"stands":300}',
        'test' => '{"setup":["a"],"restore":["b"],"hold":{"seconds":5,"what":"steady"},"reading":{"point":"p","limit":{"kind":"min","unit":"bar","min":4}}}',
        'rig' => '{"tool_kind":"protractor","points":[{"id":"a","title":"up","unit":"deg","min":1,"max":2}],"adjusters":[{"id":"s","title":"screw","unit":"turns","step":0.5,"min":-4,"max":4,"positive":"cw"}],"effects":{"s":{"a":0.3}}}',
        'inspection' => '{"covers":["leak","locking"]}',
    ];

    private static function check(string $kind, \stdClass $spec): ?string
    {
        try {
            Schema::check('step', (object) ['kind' => $kind, 'title' => 'a step', 'spec' => $spec]);
        } catch (InputError $e) {
            return $e->path;
        }

        return null;
    }

    /** @return iterable<string, array{string}> */
    public static function kinds(): iterable
    {
        foreach (array_keys(self::GOOD) as $kind) {
            yield $kind => [$kind];
        }
    }

    #[DataProvider('kinds')]
    public function test_a_kind_takes_what_is_its_own_in_a_group_too_and_nothing_else(string $kind): void
    {
        $good = json_decode(self::GOOD[$kind]);
        self::assertNull(self::check($kind, $good));
        self::assertNull(self::check($kind, (object) [...(array) $good, 'group' => 'travel']));
        self::assertSame('spec.colour', self::check($kind, (object) [...(array) $good, 'colour' => 'red']));
        self::assertSame('spec.acts.how', self::check(
            $kind,
            (object) [...(array) $good, 'acts' => (object) ['how' => 'paints', 'systems' => ['fuel']]],
        ));
        self::assertSame(
            'spec.acts.systems',
            self::check($kind, (object) [...(array) $good, 'acts' => (object) ['how' => 'moves']]),
        );
    }

    /**
     * @return iterable<string, array{string, string, mixed, string}> kind, field, what it is put to (null takes it
     *   out), where the error is
     */
    public static function spoilt(): iterable
    {
        $rows = [
            ['caution', 'level', 'danger', 'spec.level'], ['measurement', 'reading', null, 'spec.reading'], [
                'torque', 'reading', (object) ['point' => 'p'], 'spec.reading.limit',
            ],
            ['timing', 'reading', null, 'spec.reading'], ['count', 'counts', null, 'spec.counts'],
            ['count', 'min', -1, 'spec.min'], ['count', 'fraction', 0.3, 'spec.fraction'],
            [
                'hold', 'hold', (object) ['seconds' => 0, 'what' => 'x'], 'spec.hold.seconds',
            ], ['compare', 'within', -1, 'spec.within'], ['compare', 'real', (object) [], 'spec.real.title'],
            ['part', 'quantity', 0, 'spec.quantity'], ['part', 'position', '', 'spec.position'],
            ['tool', 'tool_kind', null, 'spec.tool_kind'],
            ['safing_fit', 'flag', null, 'spec.flag'], ['safing_fit', 'against', [], 'spec.against'],
            ['safing_remove', 'of', 0, 'spec.of'],
            [
                'rollcall',
                'places',
                ['nose', 'nose'],
                'spec.places',
            ], ['rollcall', 'stands', 5, 'spec.stands'], ['test', 'restore', null, 'spec.restore'],
            ['rig', 'points', [], 'spec.points'], [
                'rig',
                'points',
                [(object) ['id' => 'a', 'title' => 'up', 'min' => 1, 'max' => 2]],
                'spec.points.0.unit',
            ],
            [
                'rig',
                'adjusters',
                [(object) ['id' => 's', 'title' => 'screw', 'step' => 0.5, 'min' => -4, 'max' => 4, 'positive' => 'cw']],
                'spec.adjusters.0.unit',
            ],
            ['rig', 'effects', (object) ['s' => (object) ['a' => 'much']], 'spec.effects.s.a'],
            ['inspection', 'covers', [], 'spec.covers'],
        ];
        foreach ($rows as $row) {
            yield "{$row[0]} {$row[1]} ".json_encode($row[2]) => $row;
        }
    }

    #[DataProvider('spoilt')]
    public function test_what_is_wrong_is_named_by_its_place(
        string $kind,
        string $field,
        mixed $value,
        string $path,
    ): void {
        $spec = json_decode(self::GOOD[$kind]);
        if ($value === null) {
            unset($spec->{$field});
        } else {
            $spec->{$field} = $value;
        }
        self::assertSame($path, self::check($kind, $spec));
    }

    public function test_a_kind_that_is_none_and_a_step_without_a_title(): void
    {
        $path = static function (mixed $step): ?string {
            try {
                Schema::check('step', $step);
            } catch (InputError $e) {
                return $e->path;
            }

            return null;
        };
        self::assertSame(['kind', 'title', 'spec'], [
            $path((object) ['kind' => 'weld', 'title' => 't']),
            $path((object) ['kind' => 'instruction']),
            $path((object) ['kind' => 'part', 'title' => 't']),
        ]);
    }

    /** @return iterable<string, array{string}> */
    public static function types(): iterable
    {
        foreach (glob(dirname(__DIR__, 3).'/database/demo/cards/*.json') ?: [] as $file) {
            yield basename($file) => [$file];
        }
    }

    #[DataProvider('types')]
    public function test_every_step_of_the_demo_world_is_one_and_takes_off_only_what_was_fitted(string $file): void
    {
        $list = json_decode((string) file_get_contents(str_replace('/cards/', '/listed/', $file)), true);
        // What makes a defect safe is carried by its deferral.
        $safe = array_column($list['items'], 'safe');
        foreach (json_decode((string) file_get_contents($file)) as $card) {
            self::assertSame([], array_map(
                static fn(InputError $e): string => "{$card->code}, {$e->path}: {$e->getMessage()}",
                Steps::faults($card->steps),
            ));
            $fitted = count(array_filter($card->steps, static fn(\stdClass $s): bool => $s->kind === 'safing_fit'));
            $removed = count(array_filter($card->steps, static fn(\stdClass $s): bool => $s->kind === 'safing_remove'));
            self::assertTrue(
                $fitted === $removed || in_array($card->makes, ['safe', 'raise', 'lower', 'last'], true)
                    || in_array($card->code, $safe, true),
                "{$card->code} leaves something fitted",
            );
        }
    }
}
