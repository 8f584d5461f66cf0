<?php

declare(strict_types=1);

namespace App\Floor\Show\View;

use OpenApi\Attributes as OA;

/** One round of rigging. */
#[OA\Schema]
final readonly class RunView
{
    public function __construct(
        #[OA\Property] public int $no,
        /** by name */
        #[OA\Property(
            type: 'object',
            additionalProperties: new OA\AdditionalProperties(type: 'number'),
        )] public object $asFound,
        /** by name */
        #[OA\Property(
            type: 'object',
            additionalProperties: new OA\AdditionalProperties(type: 'number'),
        )] public object $predicted,
        /** by name */
        #[OA\Property(
            type: 'object',
            additionalProperties: new OA\AdditionalProperties(type: 'number'),
        )] public object $asLeft,
        #[OA\Property] public bool $left,
        #[OA\Property] public bool $within,
        /** @var list<MoveView> */
        #[OA\Property(type: 'array', items: new OA\Items(ref: MoveView::class))] public array $moves,
        /** @var list<string> */
        #[OA\Property(type: 'array', items: new OA\Items(type: 'string'))] public array $recheck,
        /** @var list<string> */
        #[OA\Property(type: 'array', items: new OA\Items(type: 'string'))] public array $unmet,
        #[OA\Property] public string $sentence,
    ) {}
}
