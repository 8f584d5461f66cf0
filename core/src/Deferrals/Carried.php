<?php

declare(strict_types=1);

namespace Jorvel\Core\Deferrals;

use Jorvel\Core\Shared\InputError;
use Jorvel\Core\Shared\Instant;

/** A defect that an aircraft flies with, as far as it bears on a flight. */
final readonly class Carried
{
    /**
     * @param list<string> $needs systems that must be operative
     * @param list<string> $stated conditions that a flight must state
     * @param list<string> $forbids those of them that forbid it
     * @param array<string, float> $restricts `max_…` and `min_…`
     */
    private function __construct(
        public string $id,
        public string $system,
        public bool $enough,
        public array $needs,
        public array $stated,
        public array $forbids,
        public array $restricts,
        public bool $placard,
        public Procedure $procedure,
        public ?Instant $expires,
    ) {}

    /**
     * @param string $system whose units they are, as `78-31`
     * @param int $inoperative of the installed ones, at least 0
     * @param int $required so many must work
     * @param list<string> $needs systems that must be operative while it is carried
     * @param array<string, bool> $forbid conditions under which it may not fly, as `icing`
     * @param array<string, float> $restricts by name: `max_…` or `min_…` with its unit, as `max_altitude_ft`
     * @param bool $placard whether its placard is fitted
     * @param Instant|null $expires null where no calendar limits it
     *
     * @throws InputError for more inoperative than installed, or a restriction that is neither a max nor a min
     *
     * @pure
     */
    public static function of(
        string $id,
        string $system,
        int $inoperative,
        int $installed,
        int $required,
        array $needs = [],
        array $forbid = [],
        array $restricts = [],
        bool $placard = true,
        Procedure $procedure = Procedure::None,
        ?Instant $expires = null,
    ): self {
        if ($inoperative > $installed) {
            throw InputError::at('', "has {$inoperative} inoperative of {$installed} installed");
        }
        foreach (array_keys($restricts) as $name) {
            if (preg_match('/^(max|min)_./', (string) $name) !== 1) {
                throw InputError::at("restrict.{$name}", 'must begin with max_ or min_');
            }
        }

        return new self(
            $id,
            $system,
            $installed - $inoperative >= $required,
            $needs,
            array_map(strval(...), array_keys($forbid)),
            array_map(strval(...), array_keys(array_filter($forbid))),
            $restricts,
            $placard,
            $procedure,
            $expires,
        );
    }

    /** The same once its use is used up: no flight with it any more. @pure */
    public function spent(): self
    {
        return new self(
            $this->id,
            $this->system,
            $this->enough,
            $this->needs,
            $this->stated,
            $this->forbids,
            $this->restricts,
            $this->placard,
            $this->procedure,
            Instant::fromEpoch(0),
        );
    }
}
