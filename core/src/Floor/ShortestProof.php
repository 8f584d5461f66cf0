<?php

declare(strict_types=1);

namespace Jorvel\Core\Floor;

use Jorvel\Core\Now\NotWhole;

/** The least work by which everything that is not whole is proven. */
final class ShortestProof
{
    /** Offers among which the least is looked for exhaustively; beyond that the best next one is taken each time. */
    private const EXACT = 12;

    /**
     * The offers of least cost, then of least number, that together give every missing proof that any of them gives.
     *
     * @param list<NotWhole> $open
     * @param list<ProofOffer> $offers
     *
     * @return list<string> their ids, in the offers' order
     *
     * @pure
     */
    public static function among(array $open, array $offers): array
    {
        $missing = [];
        foreach ($open as $one) {
            $missing[$one->what] = $one->missing;
        }
        $offers = array_values(array_filter($offers, static fn(ProofOffer $o): bool => $o->gives($missing) > 0));
        $chosen = count($offers) <= self::EXACT ? self::exact($missing, $offers) : self::greedy($missing, $offers);

        return array_values(array_map(
            static fn(ProofOffer $o): string => $o->id,
            array_filter($offers, static fn(ProofOffer $o): bool => in_array($o, $chosen, true)),
        ));
    }

    /**
     * What is still missing once some offers are worked.
     *
     * @param array<string, list<Proof>> $missing
     * @param list<ProofOffer> $offers
     *
     * @return array<string, list<Proof>>
     *
     * @pure
     */
    public static function left(array $missing, array $offers): array
    {
        $left = [];
        foreach ($missing as $what => $proofs) {
            $of = array_merge(...array_map(static fn(ProofOffer $o): array => $o->proves[$what] ?? [], $offers));
            $left[$what] = array_values(array_filter(
                $proofs,
                static fn(Proof $p): bool => ! in_array($p, $of, true),
            ));
        }

        return array_filter($left);
    }

    /**
     * @param array<string, list<Proof>> $missing
     * @param list<ProofOffer> $offers
     *
     * @return list<ProofOffer>
     */
    private static function exact(array $missing, array $offers): array
    {
        $all = self::left($missing, $offers);
        $best = $offers;
        for ($set = 0; $set < 1 << count($offers); $set++) {
            $some = array_values(array_filter(
                $offers,
                static fn(int $i): bool => ($set >> $i & 1) === 1,
                ARRAY_FILTER_USE_KEY,
            ));
            if (self::price($some) < self::price($best) && self::left($missing, $some) === $all) {
                $best = $some;
            }
        }

        return $best;
    }

    /**
     * @param list<ProofOffer> $offers
     *
     * @return array{float, int}
     */
    private static function price(array $offers): array
    {
        return [array_sum(array_map(static fn(ProofOffer $o): float => $o->cost, $offers)), count($offers)];
    }

    /**
     * @param array<string, list<Proof>> $missing
     * @param list<ProofOffer> $offers
     *
     * @return list<ProofOffer>
     */
    private static function greedy(array $missing, array $offers): array
    {
        $chosen = [];
        while (true) {
            $left = self::left($missing, $chosen);
            $next = null;
            foreach ($offers as $offer) {
                $worth = $offer->gives($left) / max($offer->cost, 0.01);
                if ($worth > ($next === null ? 0.0 : $next[0])) {
                    $next = [$worth, $offer];
                }
            }
            if ($next === null) {
                return $chosen;
            }
            $chosen[] = $next[1];
        }
    }
}
