<?php

declare(strict_types=1);

namespace App\Crew\Show;

use App\Crew\Model\Person;
use App\Crew\Model\Qualification;
use App\Crew\Model\Role;
use App\Crew\Model\ShiftHours;
use App\Crew\Show\View\ChoicesView;
use App\Crew\Show\View\SupervisorView;
use App\Fleet\Model\AircraftType;
use App\Fleet\Model\Base;
use App\Library\Model\CardTemplate;
use App\Shared\Clock;
use Jorvel\Core\Crew\Role as Does;

/** What somebody can be entered as, and what there is to hold. */
final readonly class PersonChoices
{
    public function __construct(private Clock $clock) {}

    public function all(): ChoicesView
    {
        $over = Person::thereOn($this->clock->today())->where('trainee', false)
            ->orderBy('name')
            ->get()
            ->reject(static fn(Person $p): bool => $p->holds(Role::Viewer, Role::Controller));

        return new ChoicesView(
            array_column(Role::cases(), 'value'),
            array_values(Base::orderBy('name')->pluck('name')->all()),
            array_keys(ShiftHours::byCode()),
            array_values($over->map(
                static fn(Person $p): SupervisorView => new SupervisorView($p->id, $p->name),
            )->all()),
            $this->skills(),
            array_values(AircraftType::orderBy('code')->pluck('code')->all()),
            array_column(array_filter(Does::cases(), static fn(Does $r): bool => $r->judges()), 'value'),
        );
    }

    /** @return list<string> those that cards ask for, and those that somebody holds */
    private function skills(): array
    {
        $asked = CardTemplate::distinct()->pluck('skill')->all();
        $held = Qualification::where('kind', 'skill')->distinct()->pluck('value')->all();
        $skills = array_unique([...$asked, ...$held]);
        sort($skills);

        return $skills;
    }

    /** @return list<string> what can be held of a kind */
    public function values(string $kind): array
    {
        return match ($kind) {
            'skill' => $this->skills(),
            'rating' => array_values(AircraftType::orderBy('code')->pluck('code')->all()),
            default => array_column(Does::cases(), 'value'),
        };
    }
}
