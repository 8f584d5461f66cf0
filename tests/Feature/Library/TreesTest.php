<?php

declare(strict_types=1);

namespace Tests\Feature\Library;

use App\Library\Model\FaultTree;
use Illuminate\Testing\TestResponse;
use Tests\Feature\WorldCase;

/** Fault trees are written by one and brought in force by another; what is wrong with one is named. */
final class TreesTest extends WorldCase
{
    public function test_a_tree_is_changed_previewed_proposed_and_agreed_and_a_walk_keeps_its_own(): void
    {
        $room = $this->as('ines', 'GET', 'library/trees')->assertOk()->json();
        $tree = collect((array) $room['trees'])->firstOrFail('code', 'SKV-T-7131');
        $file = (string) $this->as('ines', 'GET', "library/trees/{$tree['id']}/file.json")->assertOk()->getContent();
        self::assertSame(json_decode($tree['json'], true), json_decode($file, true));
        $send = fn(string $path, string $text, array $more = [], string $who = 'ines'): TestResponse
            => $this->as($who, 'POST', "library/trees/SKV{$path}", ['text' => $text, ...$more]);
        $look = fn(string $text): array => (array) $send('/preview', $text)->assertOk()->json();
        self::assertSame([null, count($tree['nodes'])], [$look($file)['fault'], count($look($file)['nodes'])]);
        self::assertStringContainsString('It is no JSON', $look('{')['fault']);
        foreach ([
            'type' => str_replace('"type": "SKV"', '"type": "OLN"', $file),
            'nodes.0.branches.0.to' => str_replace('"to": "bleed"', '"to": "nowhere"', $file),
            'colour' => substr_replace($file, '"colour": "red",', 1, 0),
        ] as $path => $text) {
            self::assertSame($path, $look($text)['path']);
        }
        $changed = str_replace('Bled at the actuator', 'Bled at the actuator, twice', $file);
        $send('', $changed, ['version' => 1])->assertStatus(422);
        $send('', $file, ['version' => 1, 'reason' => 'r'])->assertStatus(422);
        $send('', $changed, ['reason' => 'r'])->assertStatus(409);
        $send('', $changed, ['version' => 1, 'reason' => 'once is not enough'])->assertCreated();
        $new = FaultTree::orderByDesc('id')->firstOrFail();
        self::assertSame([2, 'proposed'], [$new->version, $new->state]);
        $decide = fn(string $who): TestResponse => $this->as(
            $who,
            'POST',
            "library/trees/{$new->id}/decide",
            ['accept' => true],
        );
        $decide('ines')->assertStatus(422);
        $decide('tor')->assertOk();
        $decide('tor')->assertStatus(422);
        self::assertSame(
            ['replaced', 'in_force'],
            FaultTree::where('code', 'SKV-T-7131')->orderBy('version')->pluck('state')->all(),
        );
        $this->artisan('jorvel:verify')->assertSuccessful();
    }
}
