<?php

declare(strict_types=1);

namespace App\Bench\Show;

use App\Bench\Show\View\PastTestsView;
use App\Bench\Show\View\TestRow;
use App\Fleet\Model\Aircraft;
use App\Floor\Model\TestAttempt;
use App\Floor\TestWords;
use App\Shared\Clock;
use App\Shared\Words;

/** Every attempt there ever was, by aircraft and system. */
final readonly class PastTests
{
    /** So many are shown at a time. */
    private const PAGE = 200;

    public function __construct(private Clock $clock) {}

    public function of(?string $mark, ?string $system, ?int $before): PastTestsView
    {
        $asked = TestAttempt::query()
            ->when($mark, static fn($q) => $q->whereHas('aircraft', static fn($a) => $a->where('mark', $mark)))
            ->when($system, static fn($q) => $q->where('system', $system));
        $many = $asked->clone()->count();
        $rows = $asked->with(['card.aircraft', 'beginner', 'breaker', 'ender'])
            ->when($before, static fn($q) => $q->where('id', '<', $before))
            ->orderByDesc('id')->limit(self::PAGE + 1)->get(TestAttempt::LISTED);
        $shown = $rows->take(self::PAGE);

        return new PastTestsView(
            $many === 0 ? 'No test was run yet.' : self::sentence($many, $mark, $system),
            array_values($shown->map($this->row(...))->all()),
            array_values(
                Aircraft::whereIn(
                    'id',
                    TestAttempt::distinct()->select('aircraft_id'),
                )->orderBy('mark')->pluck('mark')->all(),
            ),
            array_values(TestAttempt::distinct()->orderBy('system')->pluck('system')->all()),
            $rows->count() > self::PAGE ? $shown->last()?->id : null,
        );
    }

    private static function sentence(int $many, ?string $mark, ?string $system): string
    {
        return Words::count($many, 'attempt').($mark === null ? '' : " on {$mark}")
            .($system === null ? '' : ", {$system}").'; each opens as it was.';
    }

    public function row(TestAttempt $a): TestRow
    {
        return new TestRow(
            $a->card_id,
            $a->card->number,
            1,
            $a->card->aircraft->mark,
            $a->system,
            $a->title,
            TestWords::look($a->state),
            "Attempt {$a->no} ".TestWords::state($a->state),
            TestWords::attempt($a, $this->clock),
            $a->id,
            $a->finding_id,
        );
    }
}
