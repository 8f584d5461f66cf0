<?php

declare(strict_types=1);

namespace App\Fleet\Show;

use App\Fleet\Model\Aircraft;
use App\Fleet\Show\View\AsOfRow;
use App\Fleet\Show\View\AsOfView;
use App\Now\LoadExits;
use App\Shared\Clock;
use App\Shared\Refused;
use App\Visits\Model\Visit;
use Illuminate\Database\Eloquent\Collection;
use Jorvel\Core\Fleet\AsOf;
use Jorvel\Core\Fleet\FleetState;
use Jorvel\Core\Fleet\Stop;
use Jorvel\Core\Shared\Day;

/** Which aircraft cannot fly on a day to come, and why, as everything stands and is planned. */
final readonly class ShowAsOf
{
    /** So many days ahead are asked. */
    private const AHEAD = 730;

    /** So many reasons of one aircraft are named. */
    private const NAMED = 6;

    public function __construct(
        private DueBook $book,
        private ShowReach $reach,
        private LoadExits $exits,
        private Clock $clock,
    ) {}

    /**
     * @param Day|null $day today where null
     *
     * @throws Refused for a day that is past, or years ahead
     */
    public function on(?Day $day, ?string $base): AsOfView
    {
        $today = $this->clock->today();
        $day ??= $today;
        if ($day->number < $today->number || $day->number > $today->number + self::AHEAD) {
            throw Refused::because("{$this->clock->words($day)} cannot be asked: take a day from today to "
                .$this->clock->words($today->plusDays(self::AHEAD)).'.');
        }
        $bases = array_values(Aircraft::distinct()->orderBy('base')->pluck('base')->all());
        /** @var Collection<int, Aircraft> $aircraft */
        $aircraft = $this->book->query()->with(['type.items.template', 'type.items.set'])
            ->when($base, static fn($q) => $q->where('base', $base))->orderBy('mark')->get();
        $this->book->read($aircraft);
        $late = $this->exits->of($aircraft->flatMap(static fn(Aircraft $a): array => $a->visits->modelKeys())->all());
        $rows = array_values($aircraft->map(fn(Aircraft $a): AsOfRow => $this->row($a, $day, $late))->all());
        usort(
            $rows,
            static fn(AsOfRow $a, AsOfRow $b): int => [self::rank($a), $a->mark] <=> [self::rank($b), $b->mark],
        );

        return new AsOfView(
            self::sentence($rows, $this->clock->words($day), $base),
            (string) $day,
            (string) $today,
            (string) $today->plusDays(self::AHEAD),
            $bases,
            $rows,
        );
    }

    /** @param array<int, array{said: string, until: Day}> $late visits that leave too late by their plans */
    private function row(Aircraft $aircraft, Day $day, array $late): AsOfRow
    {
        $page = $this->book->page($aircraft);
        $visits = $aircraft->visits->values();
        $is = AsOf::on(
            $day,
            $this->clock->today(),
            $page->outlook->stops,
            $page->file->now->visits,
            $visits->map(static fn(Visit $v): ?Day => $late[$v->id]['until'] ?? null)->filter()->all(),
        );
        $n = $is->in === null ? false : array_search($is->in, $page->file->now->visits, true);
        $visit = $n === false ? null : $visits->get($n);
        $why = array_map(function (Stop $stop) use ($page): string {
            $said = $this->reach->stop($stop, $page);

            return ucfirst($said->title).(in_array($said->kind, ['part', 'found'], true)
                ? ", {$said->detail}"
                : ', last day '.$this->clock->words(Day::parse($said->date)));
        }, array_slice($is->stops, 0, self::NAMED));
        $more = count($is->stops) - count($why);
        $doubts = array_map(static fn(int $n): string => "\"{$visits[$n]->title}\": "
            .lcfirst($late[$visits[$n]->id]['said']), $is->late);

        return new AsOfRow(
            $aircraft->mark,
            $aircraft->type->code,
            $aircraft->base,
            $is->state()->value,
            match ($is->state()) {
                FleetState::Waiting => 'in a visit',
                FleetState::Stop => 'cannot fly',
                FleetState::Watch => 'may not be out yet',
                FleetState::Clear => 'can fly',
            },
            [
                ...$visit === null
                    ? []
                    : ["In \"{$visit->title}\" until ".$this->clock->words($is->in->to)],
                ...$why,
                ...$more > 0 ? ["and {$more} more"] : [],
                ...$doubts,
            ],
            $visit->id ?? ($is->late === [] ? null : $visits[$is->late[0]]->id),
        );
    }

    private static function rank(AsOfRow $row): int
    {
        return ['stop' => 0, 'waiting' => 1, 'watch' => 2, 'clear' => 3][$row->state];
    }

    /** @param list<AsOfRow> $rows */
    private static function sentence(array $rows, string $day, ?string $base): string
    {
        $kept = array_filter($rows, static fn(AsOfRow $r): bool => in_array($r->state, ['stop', 'waiting'], true));
        $doubted = count(array_filter($rows, static fn(AsOfRow $r): bool => $r->state === 'watch'));
        $stands = count(array_filter($kept, static fn(AsOfRow $r): bool => $r->state === 'stop'));
        $of = $base === null ? '' : " of {$base}";

        $more = match ($doubted) {
            0 => '',
            1 => ' One more may not be out of its visit yet.',
            default => " {$doubted} more may not be out of their visits yet.",
        };

        return match (true) {
            $rows === [] => 'No aircraft yet. Import a programme and yesterday\'s flying to begin.',
            $kept === [] => "On {$day} nothing keeps any aircraft{$of} on the ground.{$more}",
            default => "On {$day} ".count($kept).' of '.count($rows)." aircraft{$of} cannot fly: "
                .($stands === 0 ? 'all of them in visits.' : "{$stands} for what is not planned away, "
                    .(count($kept) - $stands).' in visits.').$more,
        };
    }
}
