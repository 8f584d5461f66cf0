<?php

declare(strict_types=1);

namespace App\Bench\Show\View;

use OpenApi\Attributes as OA;

/** The room Bench: what is to be tested, what ran today, what failed, what will be out first. */
#[OA\Schema]
final readonly class BenchView
{
    public function __construct(
        #[OA\Property] public string $sentence,
        /** @var list<TestRow> to be tested */
        #[OA\Property(type: 'array', items: new OA\Items(ref: TestRow::class))] public array $toTest,
        /** @var list<TestRow> attempts of today, the last one first */
        #[OA\Property(type: 'array', items: new OA\Items(ref: TestRow::class))] public array $today,
        /** @var list<TestRow> tests whose last attempt did not pass */
        #[OA\Property(type: 'array', items: new OA\Items(ref: TestRow::class))] public array $failed,
        /** @var list<TestRow> attempts before today */
        #[OA\Property(type: 'array', items: new OA\Items(ref: TestRow::class))] public array $past,
        /** @var list<TrendRow> */
        #[OA\Property(type: 'array', items: new OA\Items(ref: TrendRow::class))] public array $first,
        /** @var list<BenchRow> rigging sheets and single tests */
        #[OA\Property(type: 'array', items: new OA\Items(ref: BenchRow::class))] public array $sheets,
    ) {}
}
