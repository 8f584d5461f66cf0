<?php

declare(strict_types=1);

namespace Tests\Feature\Bench;

use App\Bench\Model\RigLesson;
use App\Floor\Model\Card;
use App\Floor\Model\Step;
use App\Shared\Clock;
use Jorvel\Core\Bench\Rigging\RigModel;
use Jorvel\Core\Shared\Chance;
use Jorvel\Core\Shared\Instant;
use PHPUnit\Framework\Attributes\DataProvider;
use Tests\Feature\WalksCards;
use Tests\Feature\WorldCase;

/** The rig models that ship: each rigged from out of its limits to within them, by what its sheet asks for. */
final class ShippedRigsTest extends WorldCase
{
    use WalksCards;

    /** @return iterable<string, array{string, string, string, array<string, float>}> mark, card, who, turns off */
    public static function models(): iterable
    {
        yield 'governor and levers' => ['QA-VFB', 'SKV-61-21', 'oda', ['screw' => 2, 'rod' => -2]];
        yield 'twin match' => ['QA-VFD', 'SKV-76-11', 'oda', ['screw1' => 1.5, 'screw2' => -1, 'rod2' => 3]];
        yield 'power, condition, propeller, reversing cam' => [
            'QA-VFB', 'SKV-76-21', 'oda', ['prop_rod' => 2, 'cond_rod' => -2.5, 'power_rod' => 2, 'cam' => 2],
        ];
        yield 'split and stagger of two levers' => [
            'QA-VFB', 'SKV-76-31', 'oda', ['rod1' => 1.5, 'gate2' => -3, 'stop1' => 3],
        ];
        yield 'feedback ring' => ['QA-VFB', 'SKV-61-45', 'oda', ['n12' => 2, 'n4' => -3]];
        yield 'elevator and trim' => [
            'Q-502', 'VSK-27-61', 'odin', ['buckles' => 1.5, 'stop_up' => 2, 'tab_rod' => -2],
        ];
        yield 'ailerons with droop' => ['Q-502', 'VSK-27-62', 'odin', ['rod_l' => 1.5, 'strut' => -1, 'stop_r' => 2]];
        yield 'rudder, pedals, stops' => ['Q-502', 'VSK-27-63', 'odin', ['rod' => 2, 'buckles' => -1, 'stop_l' => 2]];
    }

    /** @param array<string, float> $off */
    #[DataProvider('models')]
    public function test_it_is_rigged_by_what_its_sheet_asks_for(
        string $mark,
        string $code,
        string $who,
        array $off,
    ): void {
        $card = $this->cardOf($mark, $code, $who);
        $step = $card->steps->where('kind', 'rig')->firstOrFail();
        Step::where('card_id', $card->id)->where('no', '<', $step->no)->update(['state' => Step::DONE]);
        $card->update(['state' => Card::IN_WORK]);
        $lessons = RigLesson::count();
        $chance = Chance::seeded(7);
        $model = RigModel::from($step->spec);
        $true = $middle = [];
        foreach ($model->points as $p) {
            $true[$p->id] = $middle[$p->id] = array_column($step->spec['points'], 'aim', 'id')[$p->id] ?? $p->middle();
            self::assertArrayHasKey(
                $p->id,
                array_column($step->spec['drawing']['parts'], 'kind', 'point'),
                'it is drawn',
            );
        }
        $turn = static function (array $amounts, float $does) use (&$true, $model): void {
            foreach ($amounts as $adjuster => $amount) {
                foreach ($model->effects[$adjuster] as $point => $effect) {
                    $true[$point] += $does * $effect->mean * $amount;
                }
            }
        };
        $turn($off, 1.1);
        $tool = collect((array) $this->as($who, 'GET', "cards/{$card->id}")->json('tools'))
            ->firstOrFail(static fn(array $t): bool => $t['kind'] === $step->spec['tool_kind'] && $t['usable'])['code'];
        $send = fn(string $do, array $entries): array => array_column((array) $this->as(
            $who,
            'POST',
            "cards/{$card->id}/steps/{$step->no}",
            ['version' => $card->refresh()->version, 'do' => $do, 'entries' => $entries, 'tool' => $tool],
        )->assertOk()->json('steps'), null, 'no')[$step->no];
        $holds = isset($step->spec['ground']['cautions']) ? ['holds:cautions' => 'yes'] : [];
        foreach ($step->spec['requires'] as $must) {
            $holds["holds:{$must['id']}"] = isset($must['min']) ? (string) (($must['min'] + $must['max']) / 2) : 'yes';
        }
        // Threads of buckles, as a rigger counts them: enough for what is off.
        foreach ($step->spec['adjusters'] as $is) {
            foreach (isset($is['buckles']) ? ['1', '1', '2', '2'] : [] as $end => $showing) {
                $holds["threads:{$is['id']}:{$end}"] = $showing;
            }
        }
        $shown = array_column(
            (array) $this->as($who, 'GET', "cards/{$card->id}")->json('steps'),
            null,
            'no',
        )[$step->no];
        $cool = (int) ($step->spec['ground']['cool_s'] ?? 0);
        for ($round = 0; $round < 6; $round++) {
            $read = $holds;
            foreach ($model->points as $p) {
                $digits = $p->noise < 0.05 ? 2 : 1;
                $read[$p->id] = (string) round($true[$p->id] + 0.7 * $p->noise * $chance->normal(), $digits);
            }
            if (isset($step->spec['ground']['places']) && $shown['ground']['running'] === null) {
                $shown = $send('run', [...$read, 'at:0' => 'Lio Kest', 'at:1' => 'T27', 'at:2' => 'Runa Vale']);
                self::assertStringContainsString('Lio Kest at left seat', $shown['ground']['running']);
            }
            // The turbine stays cool, the propeller slow.
            $read += ['peak:0' => '742', 'peak:1' => '96'];
            $shown = $send($round === 0 ? 'as_found' : 'as_left', $read);
            if ($round === 0) {
                self::assertSame('turn', $shown['runs'][0]['verdict'], 'it is out, and can be helped');
            }
            if ($shown['state'] === 'done') {
                break;
            }
            $run = $shown['runs'][count($shown['runs']) - 1];
            if ($run['verdict'] === 'read_again') {
                continue;
            }
            $signed = [];
            foreach ($run['moves'] as $move) {
                $positive = array_column($step->spec['adjusters'], 'positive', 'id')[$move['adjuster']];
                $signed[$move['adjuster']] = $move['direction'] === $positive ? $move['amount'] : -$move['amount'];
            }
            // What is asked for is foretold as it was, before it is turned.
            $foretold = (array) $this->as(
                $who,
                'POST',
                "cards/{$card->id}/steps/{$step->no}/foretell",
                ['entries' => array_map(strval(...), $signed)],
            )->assertOk()->json();
            foreach ($run['points'] as $p) {
                self::assertEqualsWithDelta($p['next'], $foretold['next'][$p['id']], 1e-9);
            }
            self::assertSame([true], array_values(array_unique([true, ...array_column($foretold['buckles'], 'good')])));
            app(Clock::class)->start(Instant::fromEpoch(app(Clock::class)->now()->epoch() + $cool));
            $send('turned', array_map(strval(...), $signed));
            $turn($signed, 1.1);
        }
        self::assertSame('done', $shown['state']);
        self::assertLessThanOrEqual(3, $shown['runs'][count($shown['runs']) - 1]['ground']);
        self::assertSame($lessons + 1, RigLesson::count());
        // What was turned is not whole until it is locked.
        self::assertNotSame([], $this->as($who, 'GET', "cards/{$card->id}")->json('notWhole'));
    }
}
