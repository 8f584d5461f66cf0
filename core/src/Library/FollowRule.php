<?php

declare(strict_types=1);

namespace Jorvel\Core\Library;

use Jorvel\Core\Contract\Schema;
use Jorvel\Core\Shared\Input;
use Jorvel\Core\Shared\InputError;

/**
 * What follows from a sort of finding, or from a limit that was exceeded: questions, further looks, cards, suspects.
 *
 * Its shape is core/schema/follows.json. Where it is from stands with it: Jorvel repeats what the approved data says, and
 * invents no inspection.
 */
final readonly class FollowRule
{
    /** @param list<FollowUp> $then of a sort of finding; those of a limit stand in its rows */
    private function __construct(
        public string $code,
        public string $title,
        public string $source,
        public ?FoundSort $found,
        public ?ExceededTable $exceeded,
        public array $then,
    ) {}

    /**
     * @param \stdClass $body as in core/schema/follows.json
     *
     * @throws InputError with the place of what is wrong
     *
     * @pure
     */
    public static function of(\stdClass $body): self
    {
        Schema::check('follows', $body);
        $in = Input::of($body);

        return new self(
            $in->string('code'),
            $in->string('title'),
            $in->string('source'),
            $in->has('found') ? FoundSort::from($in->object('found')) : null,
            $in->has('exceeded') ? ExceededTable::from($in->object('exceeded')) : null,
            $in->each('then', FollowUp::from(...)),
        );
    }

    /**
     * Whether a finding is of its sort.
     *
     * @param string $text place and extent
     *
     * @pure
     */
    public function holds(string $chapter, string $text): bool
    {
        return $this->found?->holds($chapter, $text) ?? false;
    }

    /** @return list<FollowUp> all that it may open, of every row. @pure */
    public function all(): array
    {
        return array_merge($this->then, ...array_map(
            static fn(ExceededRow $r): array => $r->then,
            $this->exceeded->rows ?? [],
        ));
    }

    /** @return list<string> codes of the cards that it may open, each once. @pure */
    public function cards(): array
    {
        return array_values(array_unique(array_filter(array_map(
            static fn(FollowUp $f): ?string => $f->card,
            $this->all(),
        ))));
    }
}
