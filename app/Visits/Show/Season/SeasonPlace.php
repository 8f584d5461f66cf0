<?php

declare(strict_types=1);

namespace App\Visits\Show\Season;

use App\Visits\Model\Bay;
use App\Visits\Model\Visit;

/** A place of a season: a bay, or what a base has outside. */
final readonly class SeasonPlace
{
    private const LINE = 'line:';

    private function __construct(public string $id, public string $name, public string $base, public ?Bay $bay) {}

    public static function bay(Bay $bay): self
    {
        return new self($bay->name, $bay->name, $bay->base, $bay);
    }

    public static function outside(string $base): self
    {
        return new self(self::LINE.$base, "{$base}, outside", $base, null);
    }

    /** Where a visit stands, by id; load its aircraft first. */
    public static function of(Visit $visit): string
    {
        return $visit->bay === Visit::LINE ? self::LINE.$visit->aircraft->base : $visit->bay;
    }

    /** What a visit calls it. */
    public function called(): string
    {
        return $this->bay === null ? Visit::LINE : $this->name;
    }
}
