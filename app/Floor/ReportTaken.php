<?php

declare(strict_types=1);

namespace App\Floor;

use App\Crew\Model\Person;
use App\Fleet\Model\Aircraft;
use App\Floor\Model\Finding;

/** A crew's report was taken on the line, and is a finding already: told in the transaction that raises it. */
final readonly class ReportTaken
{
    public function __construct(public Person $by, public Aircraft $aircraft, public Finding $finding) {}
}
