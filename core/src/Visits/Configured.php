<?php

declare(strict_types=1);

namespace Jorvel\Core\Visits;

use Jorvel\Core\Now\CardInVisit;
use Jorvel\Core\Now\VisitNow;
use Jorvel\Core\Shared\Instant;

/** When, in a visit, its aircraft must be in a configuration: on jacks, powered, with its fuel system open. */
final readonly class Configured
{
    /** @param non-empty-list<array{float, float}> $spans in slots of the visit's hours, none touching the next */
    private function __construct(public string $what, public string $how, public array $spans) {}

    /**
     * @param array<string, list<string>> $asked what may be asked for, in the order in which it is told
     *
     * @return list<self>
     *
     * @pure
     */
    public static function of(VisitNow $visit, array $asked): array
    {
        $out = [];
        foreach ($asked as $what => $hows) {
            foreach ($hows as $how) {
                $cards = array_values(array_filter(
                    $visit->cards,
                    static fn(CardInVisit $c): bool => ($c->configuration[$what] ?? null) === $how,
                ));
                // Once raised it stays raised, whether or not somebody works on it.
                $raised = $what === 'jacks' && $how === 'on' ? self::raised($visit) : null;
                $spans = $raised === null ? self::spans($visit, $cards) : self::placed($visit, [$raised]);
                if ($spans !== []) {
                    $out[] = new self($what, $how, $spans);
                }
            }
        }

        return $out;
    }

    /**
     * From its raising to its lowering; null where the visit has no cards for these, or they are not planned.
     *
     * @return array{Instant, Instant}|null
     *
     * @pure
     */
    public static function raised(VisitNow $visit): ?array
    {
        $from = $to = null;
        foreach ($visit->cards as $card) {
            $from = $card->makes === 'raise' ? $card->from() : $from;
            $to = $card->makes === 'lower' ? $card->to() : $to;
        }

        return $from === null || $to === null ? null : [$from, $to];
    }

    /**
     * @param list<CardInVisit> $cards
     *
     * @return list<array{float, float}>
     *
     * @pure
     */
    private static function spans(VisitNow $visit, array $cards): array
    {
        $times = [];
        foreach ($cards as $card) {
            $from = $card->from();
            if ($from !== null) {
                $times[] = [$from, $card->to() ?? $from];
            }
        }

        return self::placed($visit, $times);
    }

    /**
     * @param list<array{Instant, Instant}> $times
     *
     * @return list<array{float, float}> those that touch made one
     *
     * @pure
     */
    private static function placed(VisitNow $visit, array $times): array
    {
        $spans = array_map(
            static fn(array $t): array => [$visit->hours->place($t[0]), $visit->hours->place($t[1])],
            $times,
        );
        usort($spans, static fn(array $a, array $b): int => $a[0] <=> $b[0]);
        $joined = [];
        foreach ($spans as [$from, $to]) {
            $last = count($joined) - 1;
            if ($last >= 0 && $from <= $joined[$last][1] + 1e-9) {
                $joined[$last] = [$joined[$last][0], max($joined[$last][1], $to)];
            } else {
                $joined[] = [$from, $to];
            }
        }

        return $joined;
    }
}
