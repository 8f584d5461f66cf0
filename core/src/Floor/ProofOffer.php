<?php

declare(strict_types=1);

namespace Jorvel\Core\Floor;

/** A card that proves things, made already or to be made. */
final readonly class ProofOffer
{
    /**
     * @param float $cost hours; 0 for a card that stands open already
     * @param array<string, list<Proof>> $proves by what
     */
    public function __construct(public string $id, public float $cost, public array $proves) {}

    /**
     * How many of some missing proofs it gives.
     *
     * @param array<string, list<Proof>> $missing by what
     *
     * @pure
     */
    public function gives(array $missing): int
    {
        $gives = 0;
        foreach ($missing as $what => $proofs) {
            foreach ($proofs as $proof) {
                $gives += in_array($proof, $this->proves[$what] ?? [], true) ? 1 : 0;
            }
        }

        return $gives;
    }
}
