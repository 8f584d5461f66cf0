<?php

declare(strict_types=1);

namespace Tests\Feature\Floor;

use App\Floor\Model\Card;
use App\Shared\Clock;
use Jorvel\Core\Shared\Instant;
use PHPUnit\Framework\Attributes\DataProvider;
use Tests\Feature\WalksCards;
use Tests\Feature\WorldCase;

/** Whole cards of the demo, worked from their first step to their last as somebody would. */
final class ThreadsTest extends WorldCase
{
    use WalksCards;

    protected function setUp(): void
    {
        parent::setUp();
        app(Clock::class)->start(Instant::parse('2026-05-05T08:20:00Z'));
    }

    /** @return iterable<string, array{string, string, string, string}> aircraft, card, who works it, who inspects */
    public static function cards(): iterable
    {
        yield 'propeller overspeed' => ['QA-VFE', 'SKV-61-90', 'mette', 'runa'];
        yield 'turbine over-temperature' => ['QA-VFE', 'SKV-72-90', 'mette', 'runa'];
        yield 'ground run of both engines' => ['QA-VFE', 'SKV-71-11', 'mette', 'runa'];
        yield 'the jet, over-temperature' => ['QC-TAA', 'OLN-72-90', 'pell', 'runa'];
        yield 'rotor overspeed' => ['Q-404', 'TRK-62-90', 'aki', 'hald'];
        yield 'thread 8: elevator and ailerons' => ['Q-501', 'VSK-27-31', 'aki', 'hald'];
        yield 'the single, daily' => ['Q-502', 'VSK-05-D1', 'odin', 'hald'];
        yield '50 hours' => ['Q-502', 'VSK-05-50', 'odin', 'hald'];
        yield '100 hours' => ['Q-502', 'VSK-05-100', 'odin', 'hald'];
        yield 'wheel bearings' => ['Q-502', 'VSK-32-22', 'odin', 'hald'];
        yield 'hot section' => ['Q-502', 'VSK-72-12', 'odin', 'hald'];
        yield 'brakes and bleeding' => ['Q-502', 'VSK-32-12', 'odin', 'hald'];
        yield 'altimeter' => ['Q-502', 'VSK-34-12', 'karl', 'hald'];
    }

    #[DataProvider('cards')]
    public function test_a_whole_card_is_worked_to_its_end_and_leaves_nothing_apart(
        string $mark,
        string $template,
        string $who,
        string $inspector,
    ): void {
        $card = $this->cardOf($mark, $template, $who);
        $this->walk($card, $who, $inspector);
        $shown = $this->as($who, 'GET', "cards/{$card->id}")->assertOk();
        self::assertNull($shown->json('next'));
        self::assertSame([], $shown->json('notWhole'));
        self::assertSame([], array_filter(
            (array) $shown->json('safing'),
            static fn(array $d): bool => str_starts_with((string) $d['card'], $card->number),
        ));
        $this->as($who, 'POST', "cards/{$card->id}/sign", [
            'version' => Card::findOrFail($card->id)->version, 'stamp' => $this->person($who)->stamp,
            'pin' => $this->pinOf($who), 'counted' => array_column((array) $shown->json('loans'), 'quantity', 'id'),
        ])->assertOk();
    }

    public function test_thread_9_the_wing_off_and_on_is_not_released_with_its_static_line_untested(): void
    {
        $card = $this->cardOf('Q-501', 'VSK-57-11', 'aki');
        $steps = $card->steps()->orderBy('no')->get();
        $static = (int) $steps->firstWhere('title', 'Static line holds')?->no;
        $rear = (int) $steps->firstWhere('kind', 'meet')?->no;
        $wrong = fn(int $no, string $entry) => $this->as('aki', 'POST', "cards/{$card->id}/steps/{$no}", [
            'version' => Card::findOrFail($card->id)->version, 'do' => 'meet', 'entry' => $entry,
        ]);
        $open = fn(): array => array_column(
            (array) $this->as('aki', 'GET', "cards/{$card->id}")->json('notWhole'),
            'missing',
            'what',
        );
        $bolts = (int) $steps->firstWhere('title', 'Fittings, bare')?->no;
        $this->walk($card, 'aki', 'hald', $bolts);
        self::assertCount(14, $open(), 'fourteen parted places');
        $this->walk($card, 'aki', 'hald', $rear);
        // 0.4 mm off its mark is a heavy wing.
        $wrong($rear, '12.9')->assertOk();
        self::assertFalse($steps->firstWhere('no', $rear)?->refresh()->settled());
        $this->walk($card, 'aki', 'hald', $static);
        $left = $open();
        self::assertArrayHasKey('right static line', $left);
        $blocked = (string) json_encode($this->as('wenna', 'GET', "release/{$card->visit_id}")->json('blockers'));
        self::assertStringContainsString('Right static line', $blocked);
        $this->walk($card, 'aki', 'hald');
        self::assertSame([], $open());
        self::assertStringNotContainsString('static line', (string) json_encode(
            $this->as('wenna', 'GET', "release/{$card->visit_id}")->json('blockers'),
        ));
    }
}
