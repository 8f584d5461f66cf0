<?php

declare(strict_types=1);

namespace App\Fleet\Show\View;

use OpenApi\Attributes as OA;

/** A visit on the reach, in days from today. */
#[OA\Schema]
final readonly class Bracket
{
    public function __construct(
        #[OA\Property] public int $id,
        #[OA\Property] public string $title,
        #[OA\Property] public int $from,
        #[OA\Property] public int $to,
        #[OA\Property] public bool $begun,
        /** flights that are planned on its days, a plan that ends too late */
        #[OA\Property] public ?string $doubt,
    ) {}

    public function doubted(?string $too): self
    {
        return $too === null ? $this : new self(
            $this->id,
            $this->title,
            $this->from,
            $this->to,
            $this->begun,
            trim("{$this->doubt} {$too}"),
        );
    }
}
