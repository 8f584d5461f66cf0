<?php

declare(strict_types=1);

namespace App\Bench\Show\View;

use OpenApi\Attributes as OA;

/** Tests of the past, the last one first. */
#[OA\Schema]
final readonly class PastTestsView
{
    public function __construct(
        #[OA\Property] public string $sentence,
        /** @var list<TestRow> */
        #[OA\Property(type: 'array', items: new OA\Items(ref: TestRow::class))] public array $rows,
        /** @var list<string> aircraft that were ever tested */
        #[OA\Property(type: 'array', items: new OA\Items(type: 'string'))] public array $marks,
        /** @var list<string> systems that were ever tested */
        #[OA\Property(type: 'array', items: new OA\Items(type: 'string'))] public array $systems,
        #[OA\Property(description: 'The attempt before which more are to be had')] public ?int $older,
    ) {}
}
