<?php

declare(strict_types=1);

namespace App\Now;

use App\Crew\Model\Person;
use App\Crew\Model\ShiftHours;
use App\Shared\Clock;
use Illuminate\Support\Collection;
use Illuminate\Support\Facades\DB;
use Jorvel\Core\Floor\CardProgress;
use Jorvel\Core\Now\CrewNow;
use Jorvel\Core\Now\PersonNow;
use Jorvel\Core\Now\Placed;
use Jorvel\Core\Shared\Instant;
use stdClass;

/** The one maker of the picture of the crew. */
final readonly class LoadCrew
{
    public function __construct(private Clock $clock) {}

    /** @param Collection<int, Person> $people with `qualifications` and `rotaDays` */
    public function of(Collection $people): CrewNow
    {
        $placed = DB::table('assignments')->join('cards', 'cards.id', '=', 'assignments.card_id')
            ->whereIn('assignments.person_id', $people->pluck('id'))
            ->whereIn('cards.state', [CardProgress::Open->value, CardProgress::InWork->value])
            ->where('assignments.role', '!=', 'duplicate')
            ->orderBy('cards.id')
            ->get([
                'assignments.person_id',
                'cards.id',
                'cards.number',
                'cards.title',
                'cards.planned_start',
                'cards.planned_end',
            ])
            ->groupBy('person_id');
        $now = [];
        foreach ($people as $p) {
            $now[$p->id] = new PersonNow(
                (string) $p->id,
                $p->name,
                $p->onRota($p->qualified()),
                array_values(($placed->get($p->id) ?? collect())->map(self::place(...))->all()),
            );
        }

        return new CrewNow($now, ShiftHours::byCode(), $this->clock->zone());
    }

    private static function place(stdClass $c): Placed
    {
        $at = static fn(?string $instant): ?Instant => $instant === null ? null : Instant::parse($instant);

        return new Placed((string) $c->id, $c->number, $c->title, $at($c->planned_start), $at($c->planned_end));
    }
}
