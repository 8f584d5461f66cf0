<?php

declare(strict_types=1);

namespace App\Floor\Show\View;

use OpenApi\Attributes as OA;

/** The safing register of one aircraft. */
#[OA\Schema]
final readonly class RegisterView
{
    public function __construct(
        #[OA\Property] public string $mark,
        #[OA\Property] public string $type,
        #[OA\Property] public string $sentence,
        /** @var list<SafingView> */
        #[OA\Property(type: 'array', items: new OA\Items(ref: SafingView::class))] public array $devices,
        /** @var list<PresenceView> */
        #[OA\Property(type: 'array', items: new OA\Items(ref: PresenceView::class))] public array $people,
        #[OA\Property(ref: DrawingView::class, nullable: true)] public ?DrawingView $drawing,
        /** @var list<string> */
        #[OA\Property(type: 'array', items: new OA\Items(type: 'string'))] public array $undrawn,
        #[OA\Property] public string $asOf,
        /** @var list<NotWholeView> */
        #[OA\Property(type: 'array', items: new OA\Items(ref: NotWholeView::class))] public array $notWhole,
        /** @var list<ProofOfferView> the least work that proves it */
        #[OA\Property(type: 'array', items: new OA\Items(ref: ProofOfferView::class))] public array $offers,
        /** the visit that whoever looks may put a card on */
        #[OA\Property] public ?int $visitId,
    ) {}
}
