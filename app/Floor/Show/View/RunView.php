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
        /** number of the ground run in which it was read; a re-reading is of the same one */
        #[OA\Property] public int $ground,
        /** within, turn, read_again, out_of_reach */
        #[OA\Property] public string $verdict,
        #[OA\Property] public string $sentence,
        /** by name */
        #[OA\Property(
            type: 'object',
            additionalProperties: new OA\AdditionalProperties(type: 'number'),
        )] public object $asFound,
        /** @var list<RunPointView> */
        #[OA\Property(type: 'array', items: new OA\Items(ref: RunPointView::class))] public array $points,
        /** @var list<MoveView> what to turn */
        #[OA\Property(type: 'array', items: new OA\Items(ref: MoveView::class))] public array $moves,
        /** by adjuster, signed; null until it is entered */
        #[OA\Property(
            type: 'object',
            nullable: true,
            additionalProperties: new OA\AdditionalProperties(type: 'number'),
        )] public ?object $turned,
        /** the same in words, by adjuster */
        #[OA\Property(
            type: 'object',
            additionalProperties: new OA\AdditionalProperties(type: 'string'),
        )] public object $turnedSaid,
        /** @var list<string> */
        #[OA\Property(type: 'array', items: new OA\Items(type: 'string'))] public array $recheck,
        /** @var list<string> what else is said of it: doubts, stops, how far the book was off */
        #[OA\Property(type: 'array', items: new OA\Items(type: 'string'))] public array $notes,
        /** what was believed at its beginning; of the first round alone */
        #[OA\Property] public ?string $story,
        /** @var list<string> what held while it was read */
        #[OA\Property(type: 'array', items: new OA\Items(type: 'string'))] public array $held,
        #[OA\Property] public ?string $when,
    ) {}
}
