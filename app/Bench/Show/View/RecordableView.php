<?php

declare(strict_types=1);

namespace App\Bench\Show\View;

use OpenApi\Attributes as OA;

/** An aircraft whose recording may be brought in, with the attempts that go on at it. */
#[OA\Schema]
final readonly class RecordableView
{
    public function __construct(
        #[OA\Property] public string $mark,
        #[OA\Property] public string $type,
        /** @var list<AttemptPick> */
        #[OA\Property(type: 'array', items: new OA\Items(ref: AttemptPick::class))] public array $attempts,
    ) {}
}
