<?php

declare(strict_types=1);

namespace Tests\Feature\Crew;

use App\Crew\SinceWords;
use App\Fleet\Do\WhatIf;
use App\Shared\Records;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\File;
use Tests\Feature\WorldCase;

/** What changed since somebody was last here, by room: what others did, and not what they did themselves. */
final class SinceTest extends WorldCase
{
    private function signsIn(string $login): void
    {
        $person = $this->person($login);
        app(Records::class)->write($person, 'person.signed_in', "person:{$person->id}");
    }

    /** @return array<string, array<string, mixed>> by room */
    private function since(string $login): array
    {
        return array_column($this->as($login, 'GET', 'since')->assertOk()->json('rooms'), null, 'room');
    }

    public function test_it_tells_what_others_did_while_somebody_was_away(): void
    {
        $this->signsIn('tor');
        $this->signsIn('oda');
        $this->as('tor', 'GET', 'since')->assertOk();
        $visit = [
            'title' => 'Phase check, early', 'bay' => 'Skarnholm bay 3', 'start' => '2026-05-19', 'end' => '2026-05-22',
        ];
        $this->as('ines', 'POST', 'visits/3/edit', $visit)->assertOk();
        $bay = (int) DB::table('bays')->where('name', 'Skarnholm bay 2')->value('id');
        $this->as('ines', 'POST', "bays/{$bay}/closures", [
            'start' => '2026-06-01', 'end' => '2026-06-03', 'why' => 'floor painted',
        ])->assertCreated();
        $this->signsIn('tor');
        $rooms = $this->since('tor');
        self::assertSame(['Visits'], array_keys($rooms));
        $said = array_column($rooms['Visits']['lines'], 'said');
        self::assertStringContainsString(
            'Closed: Skarnholm bay 2, Mon 1 Jun to Wed 3 Jun, floor painted',
            implode("\n", $said),
        );
        self::assertStringContainsString('Changed: QA-VFB', implode("\n", $said));
        self::assertContains('/visits/3', array_column($rooms['Visits']['lines'], 'link'));
        self::assertContains('plan made anew', $rooms['Visits']['counted']);
        $things = count($said) + array_sum(array_map(
            static fn(string $c): int => max(1, (int) $c),
            $rooms['Visits']['counted'],
        ));
        self::assertStringContainsString(
            "{$things} things changed in 1 room",
            (string) $this->as('tor', 'GET', 'since')->json('sentence'),
        );
        // Who did it sees nothing of it; and once seen, it is past.
        $this->signsIn('ines');
        self::assertStringContainsString(
            'Nothing has changed since',
            (string) $this->as('ines', 'GET', 'since')->json('sentence'),
        );
        $this->signsIn('tor');
        self::assertSame([], $this->since('tor'));
    }

    public function test_whatever_it_has_words_for_is_written_somewhere(): void
    {
        $code = '';
        foreach (File::allFiles(app_path()) as $file) {
            $code .= $file->getFilename() === 'SinceWords.php' ? '' : $file->getContents();
        }
        foreach (array_keys(SinceWords::SAID) as $kind) {
            // What was supposed in What if is written as `plan.` and its kind.
            $supposed = str_starts_with($kind, 'plan.') && in_array(substr($kind, 5), WhatIf::KINDS, true);
            self::assertTrue($supposed || str_contains($code, "'{$kind}'"), "Nobody writes {$kind}.");
        }
    }
}
