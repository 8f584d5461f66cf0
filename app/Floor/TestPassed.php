<?php

declare(strict_types=1);

namespace App\Floor;

use App\Crew\Model\Person;
use App\Floor\Model\Step;
use App\Floor\Model\TestAttempt;

/** A functional test passed: told in the transaction that keeps its verdict. */
final readonly class TestPassed
{
    /** @param Step $verdict the step that gave it, with its card */
    public function __construct(public Person $by, public Step $verdict, public TestAttempt $attempt) {}
}
