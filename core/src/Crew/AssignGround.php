<?php

declare(strict_types=1);

namespace Jorvel\Core\Crew;

use function array_sum;
use function count;
use function intdiv;

use Jorvel\Core\Shared\Flow;

use function sort;

/**
 * What an assignment stands on, by number: who fits which slot, and what no assignment can better.
 *
 * Hours are whole numbers of a grain: the greatest common divisor of the slots' minutes, or a hundred-thousandth of an
 * hour where they are no whole minutes, and then a person has a grain more for each slot, so that rounding shuts nobody
 * out.
 */
final readonly class AssignGround
{
    /** @var list<list<int>> people who may take a slot, by slot */
    public array $fits;

    /** @var list<int> grains by slot */
    public array $hours;

    /** @var list<int> grains on each date, by person */
    public array $has;

    /** @var list<int> by slot */
    public array $date;

    /**
     * @var list<list<int>> slots of the other side of the card: whoever has one of them would not be independent; by
     *   slot
     */
    public array $others;

    /**
     * @var list<list<int>> slots that whoever has one of cannot have this one, those of the other side among them; by
     *   slot
     */
    public array $apart;

    public int $people;

    /**
     * @param list<AssignPerson> $people
     * @param list<AssignSlot> $slots
     * @param array<array-key, list<string>> $barred people by slot who would not be independent, for what they did
     *   before
     * @param list<array{string, string}> $apart pairs of slots that nobody can have both of, as when they are at the
     *   same time
     */
    public function __construct(array $people, array $slots, array $barred = [], array $apart = [])
    {
        $this->people = count($people);
        $minutes = array_map(static fn(AssignSlot $s): float => $s->hours * 60, $slots);
        $whole = array_filter($minutes, static fn(float $m): bool => abs($m - round($m)) > 1e-6) === [];
        $grain = $whole ? array_reduce(
            $minutes,
            static fn(int $g, float $m): int => self::common($g, (int) round($m)),
            0,
        ) / 60 : 0.00001;
        $grain = $grain > 0 ? $grain : 1.0;
        $this->hours = array_map(static fn(AssignSlot $s): int => (int) round($s->hours / $grain), $slots);
        $slack = $whole ? 0 : count($slots);
        $this->has = array_map(
            static fn(AssignPerson $p): int => (int) floor($p->hours / $grain + 1e-6) + $slack,
            $people,
        );
        $this->date = self::numbered(array_map(static fn(AssignSlot $s): string => (string) $s->date, $slots));
        $sides = [];
        foreach ($slots as $i => $slot) {
            $sides["{$slot->role->value} {$slot->card}"][] = $i;
        }
        $this->others = array_map(
            static fn(AssignSlot $s): array => $sides["{$s->role->excludes()?->value} {$s->card}"] ?? [],
            $slots,
        );
        $this->apart = self::joined(
            $this->others,
            array_map(static fn(AssignSlot $s): string => $s->id, $slots),
            $apart,
        );
        $fits = [];
        foreach ($slots as $i => $slot) {
            $fits[] = array_keys(array_filter(
                $people,
                fn(AssignPerson $p, int $n): bool
                    => $this->has[$n] >= $this->hours[$i] && ! in_array($p->id, $barred[$slot->id] ?? [], true)
                        && $slot->unfit($p->holds) === null,
                ARRAY_FILTER_USE_BOTH,
            ));
        }
        $this->fits = $fits;
    }

    /**
     * Whether some slots shut others out, beside the hours.
     *
     * @pure
     */
    public function divided(): bool
    {
        return array_filter($this->apart) !== [];
    }

    /**
     * At most so many slots can be filled: shares of slots given out by greatest flow, those of fewest hours first,
     * which is the best of every way to give out shares; independence is left out.
     *
     * @pure
     */
    public function most(): int
    {
        [$flow, $edges] = $this->network();
        $lengths = array_unique($this->hours);
        sort($lengths);
        $filled = 0.0;
        foreach ($lengths as $hours) {
            // Among those of one length it is all the same which come first.
            foreach (array_keys($this->hours, $hours, true) as $s) {
                $flow->open($edges[$s], $hours);
            }
            $filled += $flow->push(0, 1) / $hours;
        }

        return (int) floor($filled + 1e-6);
    }

    /**
     * No assignment that fills so many slots has a lower sum of squares of hours, in grains.
     *
     * Where every slot that anybody fits is filled, the people who must share the most are found first (a tight cut of
     * the flow), then the rest; in each set the hours are even but for one grain.
     *
     * @pure
     */
    public function least(int $filled): int
    {
        $slots = array_keys(array_filter($this->fits, static fn(array $f): bool => $f !== []));
        $people = [];
        foreach ($slots as $s) {
            $people += array_fill_keys($this->fits[$s], true);
        }
        if ($filled < count($slots)) {
            $hours = array_map(fn(int $s): int => $this->hours[$s], $slots);
            sort($hours);

            return self::even(count($people), (int) array_sum(array_slice($hours, 0, $filled)));
        }

        return $this->shared($slots, array_keys($people));
    }

    /**
     * @param list<int> $slots
     * @param list<int> $people
     */
    private function shared(array $slots, array $people): int
    {
        $hours = array_sum(array_map(fn(int $s): int => $this->hours[$s], $slots));
        $many = count($people);
        if ($many === 0 || $hours === 0) {
            return 0;
        }
        $flow = new Flow(2 + count($slots) + $many);
        $seat = array_flip($people);
        foreach ($slots as $i => $s) {
            $flow->edge(0, 2 + $i, $this->hours[$s] * $many);
            foreach ($this->fits[$s] as $p) {
                if (isset($seat[$p])) {
                    $flow->edge(2 + $i, 2 + count($slots) + $seat[$p], PHP_INT_MAX >> 2);
                }
            }
        }
        foreach ($people as $i => $p) {
            $flow->edge(2 + count($slots) + $i, 1, $hours);
        }
        if ($flow->push(0, 1) >= $hours * $many) {
            return self::even($many, $hours);
        }
        $tight = $flow->reachable(0);
        $split = static fn(array $all, int $from): array => [
            array_values(array_filter(
                $all,
                static fn(int $i): bool => isset($tight[$from + $i]),
                ARRAY_FILTER_USE_KEY,
            )),
            array_values(array_filter(
                $all,
                static fn(int $i): bool => ! isset($tight[$from + $i]),
                ARRAY_FILTER_USE_KEY,
            )),
        ];
        [$hard, $easy] = $split($slots, 2);
        [$few, $others] = $split($people, 2 + count($slots));

        return $this->shared($hard, $few) + $this->shared($easy, $others);
    }

    /** The sum of squares of a whole number of grains shared out evenly. */
    public static function even(int $people, int $grains): int
    {
        if ($people === 0) {
            return 0;
        }
        $each = intdiv($grains, $people);
        $more = $grains % $people;

        return $more * ($each + 1) ** 2 + ($people - $more) * $each ** 2;
    }

    /** @return array{Flow, list<int>} from 0 through slots and people's dates to 1; the slots' edges are shut */
    private function network(): array
    {
        $seats = [];
        foreach ($this->fits as $s => $fits) {
            foreach ($fits as $p) {
                $seats["{$p}/{$this->date[$s]}"] ??= [count($seats), $p];
            }
        }
        $from = 2 + count($this->hours);
        $flow = new Flow($from + count($seats));
        $edges = [];
        foreach ($this->fits as $s => $fits) {
            $edges[] = $flow->edge(0, 2 + $s, 0);
            foreach ($fits as $p) {
                $flow->edge(2 + $s, $from + $seats["{$p}/{$this->date[$s]}"][0], $this->hours[$s]);
            }
        }
        foreach ($seats as [$n, $p]) {
            $flow->edge($from + $n, 1, $this->has[$p]);
        }

        return [$flow, $edges];
    }

    /**
     * @param list<list<int>> $apart by slot
     * @param list<string> $ids of the slots
     * @param list<array{string, string}> $pairs that are apart besides
     *
     * @return list<list<int>>
     */
    private static function joined(array $apart, array $ids, array $pairs): array
    {
        $number = array_flip($ids);
        foreach ($pairs as [$a, $b]) {
            $apart[$number[$a]][] = $number[$b];
            $apart[$number[$b]][] = $number[$a];
        }

        return array_map(static fn(array $of): array => array_values(array_unique($of)), $apart);
    }

    /**
     * @param list<string> $names
     *
     * @return list<int> the same number for the same name
     */
    private static function numbered(array $names): array
    {
        $numbers = [];
        foreach ($names as $name) {
            $numbers[$name] ??= count($numbers);
        }

        return array_map(static fn(string $name): int => $numbers[$name], $names);
    }

    private static function common(int $a, int $b): int
    {
        return $b === 0 ? $a : self::common($b, $a % $b);
    }
}
