<?php

declare(strict_types=1);

namespace App\Floor\Show;

use App\Fleet\Model\Sector;
use App\Floor\Model\LineValidity;
use App\Shared\Clock;
use Illuminate\Support\Collection;
use Jorvel\Core\Fleet\Turnarounds;

/** Today's flights of aircraft, and before which of them each was turned round. */
final readonly class LineFlights
{
    /**
     * @param array<int, list<Sector>> $flights by aircraft
     * @param array<int, list<string>> $signed flights, by aircraft
     */
    private function __construct(private array $flights, private array $signed) {}

    /** @param list<int>|null $aircraft null for all */
    public static function today(Clock $clock, ?array $aircraft = null): self
    {
        $today = $clock->today();
        $of = static fn($query) => $aircraft === null ? $query : $query->whereIn('aircraft_id', $aircraft);
        $by = static fn(Collection $rows): array => $rows->groupBy('aircraft_id')
            ->map(static fn(Collection $g): array => array_values($g->all()))->all();

        return new self(
            $by($of(Sector::where('date', (string) $today))->get()->sortBy('number', SORT_NATURAL)),
            array_map(
                static fn(array $rows): array => array_column($rows, 'flight'),
                $by($of(LineValidity::whereNotNull('flight'))
                    ->where('at', '>=', (string) $clock->at($today, '00:00'))
                    ->get()),
            ),
        );
    }

    public function of(int $aircraft): Turnarounds
    {
        return new Turnarounds(array_column($this->flights[$aircraft] ?? [], 'number'), $this->signed[$aircraft] ?? []);
    }

    /** "A02 to Skarnholm". */
    public function words(int $aircraft, string $number): string
    {
        foreach ($this->flights[$aircraft] ?? [] as $sector) {
            if ($sector->number === $number) {
                return "{$number} to {$sector->to_place}";
            }
        }

        return $number;
    }
}
