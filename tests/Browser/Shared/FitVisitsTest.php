<?php

declare(strict_types=1);

namespace Tests\Browser\Shared;

/** Visits, Crew, Deferrals, Release and Practice: fit for everybody. */
final class FitVisitsTest extends FitCase
{
    public static function screens(): iterable
    {
        yield 'Visits' => ['/visits', 'main li a'];
        yield 'a visit' => ['/visits/1', '[data-card]'];
        yield 'a board' => ['/visits/1/board', '[data-board-card]'];
        yield 'look and fix windows' => ['/visits/1/window', '[data-lever]'];
        yield 'progress' => ['/visits/1/progress', 'svg[role="img"]'];
        yield 'a season' => ['/visits/season', '[data-visit]'];
        yield 'bays' => ['/visits/bays', '[data-bay]'];
        yield 'phases' => ['/visits/phases', 'h3'];
        yield 'Crew' => ['/crew', 'table'];
        yield 'one person' => ['/crew/people/2', '[data-qualification]'];
        yield 'a shift' => ['/crew/shift', '[data-slot]'];
        yield 'Deferrals' => ['/deferrals', '[data-deferral]'];
        yield 'Release' => ['/release', 'main li a'];
        yield 'a release' => ['/release/1', '[data-testid="blockers"]'];
        yield 'Practice' => ['/practice', '[data-testid="sentence"]'];
    }
}
