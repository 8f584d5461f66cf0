<?php

declare(strict_types=1);

namespace App\Deferrals\Show\View;

use OpenApi\Attributes as OA;

/** A coming flight, and whether it may be flown with what is carried. */
#[OA\Schema]
final readonly class FlightView
{
    public function __construct(
        #[OA\Property] public int $id,
        #[OA\Property] public string $number,
        #[OA\Property] public string $date,
        #[OA\Property] public string $day,
        #[OA\Property] public string $from,
        #[OA\Property] public string $to,
        #[OA\Property(description: 'local times; empty where the programme does not say')] public string $times,
        #[OA\Property(description: 'what it meets, in words')] public string $meets,
        #[OA\Property(description: 'go, go_restricted, no_go or unknown')] public string $verdict,
        #[OA\Property(description: 'clear, watch or stop')] public string $state,
        /** @var list<string> */
        #[OA\Property(type: 'array', items: new OA\Items(type: 'string'))] public array $reasons,
    ) {}
}
