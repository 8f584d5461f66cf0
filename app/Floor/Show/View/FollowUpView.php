<?php

declare(strict_types=1);

namespace App\Floor\Show\View;

use OpenApi\Attributes as OA;

/** Something that follows from a finding. */
#[OA\Schema]
final readonly class FollowUpView
{
    public function __construct(
        #[OA\Property] public int $id,
        #[OA\Property(enum: ['question', 'look', 'card', 'suspect'])] public string $kind,
        #[OA\Property] public string $name,
        #[OA\Property] public string $text,
        /** @var list<string> */
        #[OA\Property(type: 'array', items: new OA\Items(type: 'string'))] public array $choices,
        #[OA\Property] public string $state,
        #[OA\Property] public string $word,
        /** the answer with its name and time, or what is known of a suspect */
        #[OA\Property] public ?string $said,
        /** the card, or what it led to */
        #[OA\Property] public ?string $link,
        #[OA\Property] public ?string $linkSays,
        /** the rule that says so, and where that is from */
        #[OA\Property] public string $rule,
        #[OA\Property] public bool $waits,
        /** whether its answer can be called a mistake, to be given once more */
        #[OA\Property] public bool $mayReopen,
    ) {}
}
