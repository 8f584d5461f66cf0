<?php

declare(strict_types=1);

namespace App\Deferrals;

use App\Deferrals\Model\Report;
use App\Shared\Words;

/** What is said of crew reports; pure. */
final class ReportWords
{
    /**
     * @param int $open not ended
     * @param int $repeats of those
     * @param int $unsorted of those
     */
    public static function room(int $open, int $repeats, int $unsorted): string
    {
        if ($open === 0) {
            return 'Every crew report is ended: fixed, carried, or no fault by a test.';
        }

        return Words::count($open, 'crew report waits', 'crew reports wait').'.'
            .($repeats === 0 ? '' : ' '.Words::count($repeats, 'is a repeat', 'are repeats').'.')
            .($unsorted === 0 ? '' : ' '.Words::count($unsorted, 'has', 'have').' no chapter yet.');
    }

    /** How it stands. Load `finding`, `proof` and `endedBy` first. */
    public static function stands(Report $report): string
    {
        return match ($report->stands()) {
            'finding' => "finding {$report->finding?->number}, to be fixed or carried",
            'deferred' => "carried, as {$report->finding?->number}",
            'fixed' => "fixed: {$report->finding?->fixed_how}",
            'no_fault' => "no fault found, by card {$report->proof?->number}: {$report->answer}",
            default => $report->chapter === null ? 'of which chapter it is nobody has said' : 'waits',
        };
    }

    /** @return 'stop'|'watch'|'clear'|'waiting' */
    public static function state(Report $report): string
    {
        return match ($report->stands()) {
            'open', 'finding' => 'stop',
            'deferred' => 'watch',
            default => 'clear',
        };
    }
}
