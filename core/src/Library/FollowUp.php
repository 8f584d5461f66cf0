<?php

declare(strict_types=1);

namespace Jorvel\Core\Library;

use Jorvel\Core\Shared\Input;
use Jorvel\Core\Shared\InputError;

/** One thing that follows: a question, a further look, a card that is opened, or a system that is a suspect. */
final readonly class FollowUp
{
    /** @param list<string> $choices of a question; empty where it is answered in words */
    private function __construct(
        public FollowKind $kind,
        public string $text,
        public array $choices,
        public ?string $card,
        public ?string $chapter,
    ) {}

    /**
     * @throws InputError for a card that names none, a suspect without its chapter, or a field of another kind
     *
     * @pure
     */
    public static function from(Input $in): self
    {
        $kind = $in->make('kind', FollowKind::from(...));
        $own = ['card' => FollowKind::Card, 'chapter' => FollowKind::Suspect, 'choices' => FollowKind::Question];
        foreach ($own as $field => $of) {
            if ($in->has($field) && $kind !== $of) {
                throw $in->error($field, "belongs to a {$of->value}, and this is a {$kind->value}");
            }
        }
        foreach (['card' => FollowKind::Card, 'chapter' => FollowKind::Suspect] as $field => $of) {
            if ($kind === $of && ! $in->has($field)) {
                throw InputError::missing($in->path($field));
            }
        }

        return new self(
            $kind,
            $in->string('text'),
            $in->has('choices') ? $in->strings('choices') : [],
            $in->has('card') ? $in->string('card') : null,
            $in->has('chapter') ? $in->string('chapter') : null,
        );
    }
}
