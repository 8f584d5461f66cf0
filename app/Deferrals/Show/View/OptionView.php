<?php

declare(strict_types=1);

namespace App\Deferrals\Show\View;

use OpenApi\Attributes as OA;

/** A listed item of a finding's chapter: whether it covers it, why not, and what the clock and the list would say. */
#[OA\Schema]
final readonly class OptionView
{
    public function __construct(
        #[OA\Property] public int $id,
        #[OA\Property] public string $code,
        #[OA\Property] public int $version,
        #[OA\Property] public string $title,
        #[OA\Property] public string $category,
        #[OA\Property] public bool $fits,
        #[OA\Property(description: 'why not; empty where it fits')] public string $why,
        #[OA\Property(description: 'whether a reason by whoever has seen it overrules that')] public bool $overrule,
        /** @var list<string> */
        #[OA\Property(type: 'array', items: new OA\Items(type: 'string'))] public array $positions,
        #[OA\Property] public ?string $position,
        #[OA\Property] public string $conditions,
        #[OA\Property] public string $crew,
        #[OA\Property] public string $placard,
        #[OA\Property(description: 'the card that makes it safe; null where nothing is done but the '
            .'placard')] public ?string $safe,
        #[OA\Property] public string $said,
        #[OA\Property] public ?string $date,
        /** @var list<DriverView> */
        #[OA\Property(type: 'array', items: new OA\Items(ref: DriverView::class))] public array $drivers,
        /** @var list<string> */
        #[OA\Property(type: 'array', items: new OA\Items(type: 'string'))] public array $limits,
        /** @var list<string> why no flight could be flown any more */
        #[OA\Property(type: 'array', items: new OA\Items(type: 'string'))] public array $forbids,
        /** @var list<string> planned flights that could not */
        #[OA\Property(type: 'array', items: new OA\Items(type: 'string'))] public array $grounds,
    ) {}
}
