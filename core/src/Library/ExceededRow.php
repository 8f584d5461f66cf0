<?php

declare(strict_types=1);

namespace Jorvel\Core\Library;

use Jorvel\Core\Shared\Input;
use Jorvel\Core\Shared\InputError;

/** One row of the table of a limit: so far beyond it, for so long, and what is done then. */
final readonly class ExceededRow
{
    /**
     * @param float $beyond the limit by at least so much, in the table's unit
     * @param float $seconds for at least so long
     * @param string|null $severity of the finding that it is; null where it is recorded and no more
     * @param list<FollowUp> $then
     */
    private function __construct(
        public float $beyond,
        public float $seconds,
        public string $title,
        public ?string $severity,
        public array $then,
    ) {}

    /**
     * @throws InputError for a row that stops the aircraft and opens no card, or only records and opens something
     *
     * @pure
     */
    public static function from(Input $in): self
    {
        $then = $in->has('then') ? $in->each('then', FollowUp::from(...)) : [];
        $severity = $in->has('severity') ? $in->string('severity') : null;
        $cards = array_filter($then, static fn(FollowUp $f): bool => $f->kind === FollowKind::Card);
        if ($severity !== null && $cards === []) {
            throw $in->error('then', 'must name the card of the inspection');
        }
        if ($severity === null && $then !== []) {
            throw $in->error('severity', 'is missing: what is only recorded opens nothing');
        }

        return new self($in->number('beyond'), $in->number('seconds'), $in->string('title'), $severity, $then);
    }
}
