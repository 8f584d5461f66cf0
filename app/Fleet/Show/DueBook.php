<?php

declare(strict_types=1);

namespace App\Fleet\Show;

use App\Fleet\Model\Aircraft;
use App\Library\Model\ProgrammeItem;
use App\Now\LoadAircraft;
use App\Shared\Clock;
use Illuminate\Database\Eloquent\Builder;
use Illuminate\Support\Collection;
use Jorvel\Core\Fleet\Outlook;

/** Asks the core what falls due on an aircraft and how far it can go. */
final readonly class DueBook
{
    public function __construct(private Clock $clock, private LoadAircraft $load) {}

    /** @return Builder<Aircraft> with everything that is asked */
    public function query(): Builder
    {
        return $this->load->query();
    }

    /**
     * Reads at once what many aircraft would be asked one by one.
     *
     * @param Collection<int, Aircraft> $aircraft
     */
    public function read(Collection $aircraft): void
    {
        $this->load->read($aircraft);
    }

    /**
     * @param Aircraft $aircraft as of {@see query()}; as saved, or as it is supposed to be
     * @param iterable<ProgrammeItem>|null $programme another programme than the type's present one, for a preview
     */
    public function page(Aircraft $aircraft, ?iterable $programme = null): DuePage
    {
        $file = $this->load->of($aircraft, $programme);

        return new DuePage($file, Outlook::of(
            $file->now,
            $this->clock->today(),
            $this->clock->now(),
            (int) config('jorvel.warn_days'),
        ));
    }

    /**
     * Every item of the aircraft's programme, on itself and on what is fitted to it, the earliest due first.
     *
     * @param iterable<ProgrammeItem>|null $programme
     *
     * @return Collection<int, DueRow>
     */
    public function items(Aircraft $aircraft, ?iterable $programme = null): Collection
    {
        return $this->page($aircraft, $programme)->items();
    }
}
