<?php

declare(strict_types=1);

namespace Tests\Browser\Shared;

/** Fleet and Library: fit for everybody. */
final class FitFleetTest extends FitCase
{
    public static function screens(): iterable
    {
        yield 'Fleet' => ['/fleet', '[data-mark]'];
        yield 'an aircraft' => ['/fleet/QA-VFC', '[data-item]'];
        yield 'its components' => ['/fleet/QA-VFD?view=components', '[data-component]'];
        yield 'its flying and history' => ['/fleet/QA-VFD?view=flying', '[data-flown]'];
        yield 'the due list' => ['/fleet/due', 'table'];
        yield 'since I was here' => ['/fleet/since', '[data-testid="sentence"]'];
        yield 'a day to come' => ['/fleet/as-of?day=2026-05-14', '[data-as-of]'];
        yield 'stagger' => ['/fleet/stagger', '[data-stagger]'];
        yield 'bottles' => ['/fleet/bottles', '[data-testid="bottle"]'];
        yield 'what if' => ['/fleet/what-if', '[data-testid="sentence"]'];
        yield 'calendar links' => ['/fleet/calendar', '[data-testid="sentence"]'];
        yield 'a programme' => ['/library/programme/SKV', 'table'];
        yield 'a manual to be re-read' => ['/library/manuals/BM-TRK', '[data-template]'];
        yield 'what follows' => ['/library/follows', '[data-rule]'];
        yield 'a rule being written' => ['/library/follows/SKV/write', '[name="code"]'];
        yield 'figures' => ['/library/figures/SKV', '[data-testid="sentence"]'];
        yield 'Library' => ['/library', 'table'];
        yield 'what is not there' => ['/fleet/QZ-NONE', '[data-testid="sentence"]'];
    }
}
