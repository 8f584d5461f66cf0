<?php

declare(strict_types=1);

namespace App\Deferrals\Do;

use App\Floor\ReportTaken;

/** What a crew said on the line stands among the crew reports, as the finding that it is already. */
final readonly class KeepLineReport
{
    public function __construct(private Reports $reports) {}

    public function handle(ReportTaken $taken): void
    {
        $this->reports->taken($taken->by, $taken->aircraft, $taken->finding);
    }
}
