<?php

declare(strict_types=1);

namespace App\Library\Show\View;

use OpenApi\Attributes as OA;

/** An import, looked at before it is applied. */
#[OA\Schema]
final readonly class ImportView
{
    public function __construct(
        #[OA\Property] public int $id,
        #[OA\Property] public string $kind,
        #[OA\Property] public string $name,
        #[OA\Property] public string $state,
        #[OA\Property] public string $sentence,
        /** @var list<ChangeView> */
        #[OA\Property(type: 'array', items: new OA\Items(ref: ChangeView::class))] public array $changes,
        /** @var list<ChangeView> */
        #[OA\Property(type: 'array', items: new OA\Items(ref: ChangeView::class))] public array $dates,
        /** @var list<AskedView> what may not be meant; applied only when it is said to be */
        #[OA\Property(type: 'array', items: new OA\Items(ref: AskedView::class))] public array $asked,
        /** @var list<string> what is there and not in the file; it stays as it is */
        #[OA\Property(type: 'array', items: new OA\Items(type: 'string'))] public array $left,
    ) {}
}
