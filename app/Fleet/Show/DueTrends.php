<?php

declare(strict_types=1);

namespace App\Fleet\Show;

/** The points whose trends were taken into the due list. */
interface DueTrends
{
    /**
     * @param int|null $aircraft of one aircraft alone
     *
     * @return list<DueTrend>
     */
    public function all(?int $aircraft = null): array;
}
