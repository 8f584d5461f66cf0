<?php

declare(strict_types=1);

namespace App\Floor\Do;

/** What somebody sends for a step. */
final readonly class StepInput
{
    /**
     * @param int $version of the card as the sender saw it
     * @param string $do `done`, `start`, `read`, `count`, `compare`, `call`, `fit`, `use`, `as_found`, `as_left`,
     *   `answer`, `mark`, `meet`, `point`, `point_back`, `unit_off`, `unit_on`, `unit_back`,
     *   `fill`, `begin`, `verdict`, `new_attempt` and `break_off` of a functional test, `watch`, `order`, `seen`,
     *   `result`, `samples`, `turned`, `run`, `run_off`, `stop` (break off what runs), `take_back`, `again` (do once
     *   more) or `not_applicable`
     * @param string $entry a reading as typed
     * @param array<string, string> $entries readings as typed, by point
     * @param string $tool code of the tool that took it
     */
    public function __construct(
        public int $version,
        public string $do,
        public string $entry = '',
        public array $entries = [],
        public string $tool = '',
        public string $note = '',
    ) {}
}
