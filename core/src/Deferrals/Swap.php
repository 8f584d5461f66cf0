<?php

declare(strict_types=1);

namespace Jorvel\Core\Deferrals;

use function array_keys;
use function count;

use Jorvel\Core\Shared\Deadline;
use Jorvel\Core\Shared\InputError;
use Jorvel\Core\Shared\Instant;
use Jorvel\Core\Shared\Matching;

/**
 * Which aircraft flies which line of sectors: most lines flown, then fewest taken from the aircraft they were planned
 * for, then fewest sectors under restrictions.
 *
 * The three aims make one whole-number cost, each so heavy that the next cannot outweigh it, and the cheapest
 * assignment is found exactly. Contract: docs/core.md, core/schema/swap.json.
 */
final readonly class Swap
{
    /**
     * @param array<string, string> $assigned aircraft by line
     * @param list<array{line: string, why: array<string, string>}> $open
     * @param list<string> $changed lines flown by another than planned
     */
    private function __construct(
        public array $assigned,
        public array $open,
        public array $changed,
        public bool $proven,
    ) {}

    /**
     * @param list<SwapLine> $lines
     * @param list<SwapAircraft> $aircraft
     *
     * @throws InputError at `lines.<i>.planned` for an aircraft that is not there; at `lines.<i>.sectors.<j>.<name>`
     *   for a condition that an aircraft's item asks for
     */
    public static function of(array $lines, array $aircraft, Instant $at, ?Deadline $deadline = null): self
    {
        self::requireWhole($lines, $aircraft);
        $sectors = array_sum(array_map(static fn(SwapLine $l): int => count($l->sectors), $lines));
        $change = $sectors + 1;
        $unflown = $change * (count($lines) + 1);
        $unfit = $costs = [];
        foreach ($lines as $l => $line) {
            $costs[$l] = [];
            foreach ($aircraft as $a => $one) {
                $unfit[$l][$a] = $one->unfit($line, $at);
                if ($unfit[$l][$a] === null) {
                    $costs[$l][$a] = ($line->planned === null || $line->planned === $one->id ? 0 : $change)
                        + ($one->dispatch->restrictions === [] ? 0 : count($line->sectors));
                }
            }
        }
        [$of, $proven] = Matching::cheapest(array_values($costs), count($aircraft), $unflown, $deadline);
        $flies = [];
        foreach ($of as $l => $a) {
            if ($a !== null) {
                $flies[$a] = $lines[$l]->id;
            }
        }
        $assigned = $open = $changed = [];
        foreach ($lines as $l => $line) {
            if ($of[$l] !== null) {
                $assigned[$line->id] = $aircraft[$of[$l]]->id;
                if ($line->planned !== null && $line->planned !== $aircraft[$of[$l]]->id) {
                    $changed[] = $line->id;
                }

                continue;
            }
            $why = [];
            foreach ($aircraft as $a => $one) {
                $why[$one->id] = $unfit[$l][$a] ?? 'flies:'.($flies[$a] ?? '');
            }
            $open[] = ['line' => $line->id, 'why' => $why];
        }

        return new self($assigned, $open, $changed, $proven);
    }

    /**
     * @param list<SwapLine> $lines
     * @param list<SwapAircraft> $aircraft
     *
     * @throws InputError
     *
     * @pure
     */
    private static function requireWhole(array $lines, array $aircraft): void
    {
        $known = $stated = [];
        foreach ($aircraft as $one) {
            $known['#'.$one->id] = true;
            $stated += $one->dispatch->stated;
        }
        foreach ($lines as $i => $line) {
            if ($line->planned !== null && ! isset($known['#'.$line->planned])) {
                throw InputError::notAmong("lines.{$i}.planned", 'aircraft', $line->planned);
            }
            foreach ($line->sectors as $j => $sector) {
                foreach (array_keys($stated) as $name) {
                    if (! isset($sector->conditions[$name])) {
                        throw InputError::missing("lines.{$i}.sectors.{$j}.{$name}");
                    }
                }
            }
        }
    }

    /** @return array<string, mixed> */
    public function toArray(): array
    {
        return [
            'assigned' => (object) $this->assigned,
            'open' => array_map(
                static fn(array $o): array => ['line' => $o['line'], 'why' => (object) $o['why']],
                $this->open,
            ),
            'changed' => $this->changed,
            'proven' => $this->proven,
        ];
    }
}
