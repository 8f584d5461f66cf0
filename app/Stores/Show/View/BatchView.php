<?php

declare(strict_types=1);

namespace App\Stores\Show\View;

use App\Stores\Model\PartBatch;
use Illuminate\Database\Eloquent\Collection;
use Jorvel\Core\Shared\Day;
use OpenApi\Attributes as OA;

/** A batch that a part could be taken from. */
#[OA\Schema]
final readonly class BatchView
{
    public function __construct(
        #[OA\Property] public string $batch,
        #[OA\Property] public int $quantity,
        #[OA\Property] public ?string $expires,
        #[OA\Property] public bool $usable,
        #[OA\Property] public ?string $why,
    ) {}

    /**
     * @param Collection<int, PartBatch> $batches
     *
     * @return list<self>
     */
    public static function all(Collection $batches, Day $today): array
    {
        return array_values($batches->map(static function (PartBatch $b) use ($today): self {
            $why = $b->spent($today);

            return new self(
                $b->batch,
                $b->quantity,
                $b->expires === null ? null : (string) $b->expires,
                $why === null,
                $why,
            );
        })->all());
    }
}
