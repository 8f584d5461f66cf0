<?php

declare(strict_types=1);

namespace App\Deferrals\Show\View;

use OpenApi\Attributes as OA;

/** Under what a finding may be carried. */
#[OA\Schema]
final readonly class OptionsView
{
    public function __construct(
        #[OA\Property] public string $sentence,
        #[OA\Property] public OpenFinding $finding,
        /** @var list<OptionView> */
        #[OA\Property(type: 'array', items: new OA\Items(ref: OptionView::class))] public array $options,
        /** @var list<StayView> devices on the aircraft that could stay on under it */
        #[OA\Property(type: 'array', items: new OA\Items(ref: StayView::class))] public array $devices,
        /** @var list<string> what is carried already */
        #[OA\Property(type: 'array', items: new OA\Items(type: 'string'))] public array $carried,
        #[OA\Property] public bool $may,
        #[OA\Property(description: 'it waits for a decision')] public bool $open,
    ) {}
}
