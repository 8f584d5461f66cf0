<?php

declare(strict_types=1);

namespace App\Library\Show\View;

use App\Library\Model\Lesson;
use App\Shared\Clock;
use OpenApi\Attributes as OA;

/** What went wrong at a card once. */
#[OA\Schema]
final readonly class LessonView
{
    public function __construct(
        #[OA\Property] public int $id,
        #[OA\Property] public string $text,
        #[OA\Property(enum: ['proposed', 'accepted', 'declined'])] public string $state,
        #[OA\Property] public string $by,
        /** who accepted or declined it, and why it was declined */
        #[OA\Property] public ?string $decided,
        /** one's own is decided by somebody else */
        #[OA\Property] public bool $mine,
    ) {}

    /** @param Lesson $lesson with `proposer`, `decider` */
    public static function of(Lesson $lesson, Clock $clock, int $me): self
    {
        $decided = $lesson->decider === null || $lesson->decided_at === null ? null
            : "{$lesson->state} by {$lesson->decider->name}, {$clock->local($lesson->decided_at)}"
                .($lesson->why === '' ? '' : ": {$lesson->why}");

        return new self(
            $lesson->id,
            $lesson->text,
            $lesson->state,
            "{$lesson->proposer->name}, {$clock->local($lesson->proposed_at)}",
            $decided,
            $lesson->proposed_by === $me,
        );
    }
}
