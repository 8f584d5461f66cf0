<?php

declare(strict_types=1);

namespace Jorvel\Core\Floor;

/** What a step disturbs, joins and proves on the aircraft. */
final readonly class Handling
{
    /**
     * @param list<array{what: string, how: DisturbedHow, needs: list<Proof>, component: bool}> $disturbs `component`:
     *   it goes where the card's component goes
     * @param list<string> $joins
     * @param list<array{by: Proof, of: list<string>}> $proves
     */
    private function __construct(public array $disturbs, public array $joins, public array $proves) {}

    /**
     * @param array<string, mixed> $spec of a step, as in core/schema/step.json
     *
     * @return self|null null for a step that does nothing of the kind
     *
     * @pure
     */
    public static function of(array $spec): ?self
    {
        $of = new self(
            array_values(array_map(static fn(array $d): array => [
                'what' => (string) $d['what'],
                'how' => DisturbedHow::from($d['how']),
                'needs' => array_values(array_map(Proof::from(...), $d['proofs'])),
                'component' => (bool) ($d['component'] ?? false),
            ], $spec['disturbs'] ?? [])),
            $spec['joins'] ?? [],
            array_values(array_map(static fn(array $p): array => [
                'by' => Proof::from($p['by']),
                'of' => array_values(array_map(strval(...), $p['of'])),
            ], $spec['proves'] ?? [])),
        );

        return $of->disturbs === [] && $of->joins === [] && $of->proves === [] ? null : $of;
    }

    /**
     * What the adjusters of a rigging sheet ask for once they were turned: that the points are read again, and what each
     * names besides.
     *
     * @param array<string, mixed> $spec of a rigging sheet
     *
     * @return array<string, list<Proof>> by the title of the adjuster
     *
     * @pure
     */
    public static function ofAdjusters(array $spec): array
    {
        $needs = [];
        foreach ($spec['adjusters'] ?? [] as $a) {
            $needs[(string) $a['title']] = [
                Proof::Reading,
                ...array_values(array_filter(
                    array_map(Proof::from(...), $a['proofs'] ?? []),
                    static fn(Proof $p): bool => $p !== Proof::Reading,
                )),
            ];
        }

        return $needs;
    }

    /** @return list<string> what it disturbs or joins @pure */
    public function touches(): array
    {
        return array_values(array_unique([...array_column($this->disturbs, 'what'), ...$this->joins]));
    }

    /** @return list<string> what it proves @pure */
    public function proven(): array
    {
        return array_values(array_unique(array_merge(...array_column($this->proves, 'of'))));
    }
}
