<?php

declare(strict_types=1);

namespace Tests\Browser\Bench;

/** Pressures, levels, gaps, tensions and what a panel says of itself. */
final class ShippedTest extends ShippedCase
{
    public static function shipped(): iterable
    {
        yield 'spoilers' => ['QC-TAD', 'OLN-27-61', 'noor', ['Spoilers, self-test'], null];
        yield 'oxygen' => ['QA-VFD', 'SKV-35-21', 'oda', ['Crew oxygen, line and warning'], null];
        yield 'brakes' => ['QA-VFD', 'SKV-32-43', 'bram', ['Brakes equal'], null];
        yield 'reservoir' => ['QA-VFD', 'SKV-29-16', 'bram', ['Reservoir level'], null];
        yield 'parking brake' => ['QA-VFD', 'SKV-32-46', 'bram', ['Parking brake holds'], null];
        yield 'struts' => ['Q-404', 'TRK-32-91', 'aki', ['Strut, nose', 'Strut, left', 'Strut, right'], null];
        yield 'cables' => [
            'Q-501', 'VSK-27-46', 'odin', ['Cable tension'], ['Elevator and rudder', ['rl' => '90'], true],
        ];
        yield 'idle leak check' => ['QC-TAA', 'OLN-79-31', 'pell', ['Idle leak check'], null];
    }
}
