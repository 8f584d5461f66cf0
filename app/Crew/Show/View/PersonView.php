<?php

declare(strict_types=1);

namespace App\Crew\Show\View;

use App\Crew\Model\Role;
use OpenApi\Attributes as OA;

/** A person and what they hold. */
#[OA\Schema]
final readonly class PersonView
{
    public function __construct(
        #[OA\Property] public int $id,
        #[OA\Property] public string $name,
        #[OA\Property] public string $stamp,
        #[OA\Property(enum: Role::class)] public string $role,
        #[OA\Property] public string $base,
        #[OA\Property] public string $shift,
        #[OA\Property] public string $today,
        #[OA\Property] public bool $trainee,
        #[OA\Property] public ?string $supervisor,
        /** @var list<AwayView> */
        #[OA\Property(type: 'array', items: new OA\Items(ref: AwayView::class))] public array $away,
        /** @var list<QualificationView> */
        #[OA\Property(type: 'array', items: new OA\Items(ref: QualificationView::class))] public array $qualifications,
        /** @var list<string> authorities that wait for a second person, in words */
        #[OA\Property(type: 'array', items: new OA\Items(type: 'string'))] public array $waiting,
        #[OA\Property] public int $cards,
    ) {}
}
