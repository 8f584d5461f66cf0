<?php

declare(strict_types=1);

namespace Jorvel\Core\Deferrals;

use function array_key_exists;

use Jorvel\Core\Shared\InputError;
use Jorvel\Core\Shared\Instant;
use Jorvel\Core\Shared\Near;

/**
 * May an aircraft fly a sector with what is open on it.
 *
 * What does not hang on the sector (units left, dependence, placard, procedure, restrictions that contradict each
 * other) is worked out once for an aircraft; a sector then asks only for its conditions and the clock. Contract:
 * docs/core.md, core/schema/dispatch.json.
 */
final readonly class Dispatch
{
    /**
     * @param list<Carried> $carried
     * @param list<list<string>> $before codes by item that stand before the sector's own, and those after
     * @param list<list<string>> $after
     * @param array<string, float> $restrictions
     * @param bool $grounded whether something forbids every sector
     * @param array<string, bool> $stated conditions asked for: whether anything forbids a flight that meets it
     * @param Instant|null $expires the first of them to run out
     */
    private function __construct(
        public array $carried,
        private array $before,
        private array $after,
        public array $restrictions,
        private bool $grounded,
        public array $stated,
        private ?Instant $expires,
    ) {}

    /**
     * @param list<Carried> $carried all that is open on the aircraft
     *
     * @pure
     */
    public static function with(array $carried): self
    {
        $before = $after = $stated = [];
        $expires = null;
        foreach ($carried as $i => $item) {
            $before[$i] = $item->enough ? [] : ['too_few'];
            foreach ($carried as $j => $other) {
                if ($j !== $i && $other->system !== $item->system && in_array($other->system, $item->needs, true)) {
                    $before[$i][] = 'depends_on:'.$other->id;
                }
            }
            $after[$i] = [
                ...$item->placard ? [] : ['placard_missing'],
                ...$item->procedure === Procedure::Open ? ['procedure_open'] : [],
            ];
            foreach ($item->stated as $name) {
                $stated[$name] = ($stated[$name] ?? false) || in_array($name, $item->forbids, true);
            }
            $expires = $expires === null || $item->expires?->isBefore($expires) === true ? $item->expires : $expires;
        }
        [$restrictions, $conflicts] = self::merged($carried);
        foreach ($conflicts as $i) {
            $after[$i][] = 'restrictions_conflict';
        }
        $grounded = array_filter([...$before, ...$after]) !== [];

        return new self(
            $carried,
            array_values($before),
            array_values($after),
            $restrictions,
            $grounded,
            $stated,
            $expires,
        );
    }

    /**
     * @param Instant $at when it is asked
     *
     * @throws InputError at the name of a condition that an item asks for and the sector does not state
     *
     * @pure
     */
    public function judge(Sector $sector, Instant $at): DispatchResult
    {
        $this->requireStated($sector);
        $reasons = [];
        foreach ($this->carried as $i => $item) {
            $codes = $this->before[$i];
            foreach ($item->forbids as $name) {
                if ($sector->meets($name)) {
                    $codes[] = 'forbidden:'.$name;
                }
            }
            if (self::over($item->expires, $sector, $at)) {
                $codes[] = 'expired';
            }
            foreach ([...$codes, ...$this->after[$i]] as $code) {
                $reasons[] = ['id' => $item->id, 'code' => $code];
            }
        }

        return new DispatchResult(match (true) {
            $reasons !== [] => 'no_go',
            $this->restrictions !== [] => 'go_restricted',
            default => 'go',
        }, $this->restrictions, $reasons);
    }

    /**
     * What forbids every flight, whatever it meets.
     *
     * @return list<array{id: string, code: string}> as in {@see DispatchResult}
     *
     * @pure
     */
    public function standing(): array
    {
        $reasons = [];
        foreach ($this->carried as $i => $item) {
            foreach ([...$this->before[$i], ...$this->after[$i]] as $code) {
                $reasons[] = ['id' => $item->id, 'code' => $code];
            }
        }

        return $reasons;
    }

    /** The verdict alone, quicker. @throws InputError likewise @pure */
    public function allows(Sector $sector, Instant $at): bool
    {
        $this->requireStated($sector);
        if ($this->grounded || self::over($this->expires, $sector, $at)) {
            return false;
        }
        foreach ($this->stated as $name => $forbids) {
            if ($forbids && $sector->conditions[$name]) {
                return false;
            }
        }

        return true;
    }

    /** @throws InputError @pure */
    private function requireStated(Sector $sector): void
    {
        foreach ($this->stated as $name => $forbids) {
            if (! array_key_exists($name, $sector->conditions)) {
                throw InputError::missing((string) $name);
            }
        }
    }

    /** @pure */
    private static function over(?Instant $expires, Sector $sector, Instant $at): bool
    {
        return $expires !== null && ($expires->isBefore($sector->arrives) || $expires->isBefore($at));
    }

    /**
     * What all restrictions come to, and which items contradict an earlier one.
     *
     * @param list<Carried> $carried
     *
     * @return array{array<string, float>, list<int>}
     *
     * @pure
     */
    private static function merged(array $carried): array
    {
        $merged = $whose = [];
        foreach ($carried as $i => $item) {
            foreach ($item->restricts as $name => $value) {
                $is = $merged[$name] ?? null;
                if ($is === null || (str_starts_with($name, 'max_') ? $value < $is : $value > $is)) {
                    $merged[$name] = $value;
                    $whose[$name] = $i;
                }
            }
        }
        $conflicts = [];
        foreach ($merged as $name => $least) {
            $most = 'max_'.substr($name, 4);
            if (str_starts_with($name, 'min_') && isset($merged[$most]) && ! Near::atMost($least, $merged[$most])) {
                $conflicts[] = max($whose[$name], $whose[$most]);
            }
        }

        return [$merged, array_values(array_unique($conflicts))];
    }
}
