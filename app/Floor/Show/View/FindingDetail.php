<?php

declare(strict_types=1);

namespace App\Floor\Show\View;

use OpenApi\Attributes as OA;

/** A finding with everything known of it. */
#[OA\Schema]
final readonly class FindingDetail
{
    public function __construct(
        #[OA\Property] public FindingView $finding,
        #[OA\Property] public string $sentence,
        #[OA\Property(type: 'object', nullable: true, additionalProperties: true)] public ?object $spot,
        /** @var list<list<array{float, float}>> */
        #[OA\Property(
            type: 'array',
            items: new OA\Items(type: 'array', items: new OA\Items(type: 'array', items: new OA\Items(type: 'number'))),
        )] public array $sketch,
        #[OA\Property(ref: DrawingView::class, nullable: true)] public ?DrawingView $drawing,
        /** @var list<PhotoView> */
        #[OA\Property(type: 'array', items: new OA\Items(ref: PhotoView::class))] public array $photos,
        #[OA\Property] public ?string $repeat,
        #[OA\Property] public ?int $repeatId,
        /** @var list<HistoryLine> */
        #[OA\Property(type: 'array', items: new OA\Items(ref: HistoryLine::class))] public array $history,
        #[OA\Property] public ?string $fixCard,
        #[OA\Property] public ?int $fixCardId,
        #[OA\Property] public ?string $fixedHow,
        /** @var list<string> */
        #[OA\Property(type: 'array', items: new OA\Items(type: 'string'))] public array $may,
        /** @var list<string> */
        #[OA\Property(type: 'array', items: new OA\Items(type: 'string'))] public array $options,
        /** @var list<FollowUpView> what follows from it */
        #[OA\Property(type: 'array', items: new OA\Items(ref: FollowUpView::class))] public array $follows,
        /** @var list<RulePick> that may be opened by hand */
        #[OA\Property(type: 'array', items: new OA\Items(ref: RulePick::class))] public array $rules,
    ) {}
}
