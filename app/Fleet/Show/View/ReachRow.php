<?php

declare(strict_types=1);

namespace App\Fleet\Show\View;

use OpenApi\Attributes as OA;

/** How far one aircraft can go. */
#[OA\Schema]
final readonly class ReachRow
{
    public function __construct(
        #[OA\Property] public string $mark,
        #[OA\Property] public string $type,
        #[OA\Property] public string $fleet,
        #[OA\Property] public string $base,
        #[OA\Property] public string $state,
        #[OA\Property] public ?StopView $stop,
        /** @var list<Bracket> */
        #[OA\Property(type: 'array', items: new OA\Items(ref: Bracket::class))] public array $visits,
        /** @var list<Fuse> */
        #[OA\Property(type: 'array', items: new OA\Items(ref: Fuse::class))] public array $fuses,
    ) {}

    /** @param list<Bracket> $visits */
    public function visiting(array $visits): self
    {
        return new self(
            $this->mark,
            $this->type,
            $this->fleet,
            $this->base,
            $this->state,
            $this->stop,
            $visits,
            $this->fuses,
        );
    }

    /** As it was kept in a due sheet. */
    public static function read(string $json): self
    {
        $r = json_decode($json, true, 16, JSON_THROW_ON_ERROR);

        return new self(
            $r['mark'],
            $r['type'],
            $r['fleet'],
            $r['base'],
            $r['state'],
            $r['stop'] === null ? null : new StopView(...$r['stop']),
            array_map(static fn(array $v): Bracket => new Bracket(...$v), $r['visits']),
            array_map(static fn(array $f): Fuse => new Fuse(...$f), $r['fuses']),
        );
    }
}
