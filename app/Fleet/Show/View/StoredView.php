<?php

declare(strict_types=1);

namespace App\Fleet\Show\View;

use App\Fleet\ComponentWords;
use App\Fleet\Model\Component;
use App\Fleet\Show\ShowFleet;
use Jorvel\Core\Fleet\ComponentTag;
use OpenApi\Attributes as OA;

/** A component that is not fitted, or has just been moved. */
#[OA\Schema]
final readonly class StoredView
{
    public function __construct(
        #[OA\Property] public int $id,
        #[OA\Property] public string $kind,
        #[OA\Property] public string $title,
        #[OA\Property] public string $partNo,
        #[OA\Property] public string $serial,
        #[OA\Property] public ?string $place,
        #[OA\Property] public string $counters,
        #[OA\Property] public string $tag,
        /** how the tag reads */
        #[OA\Property] public string $tagged,
        #[OA\Property] public bool $serviceable,
        #[OA\Property] public ?string $tagWhy,
    ) {}

    public static function of(Component $c): self
    {
        return new self(
            $c->id,
            $c->kind,
            $c->title,
            $c->part_no,
            $c->serial,
            $c->place,
            ShowFleet::amounts($c->counters),
            $c->tag->value,
            ComponentWords::tag($c->tag),
            $c->tag === ComponentTag::Serviceable,
            $c->tag_why,
        );
    }
}
