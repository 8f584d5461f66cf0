<?php

declare(strict_types=1);

namespace Jorvel\Core\Bench;

use function array_slice;
use function array_sum;
use function array_unique;
use function count;

use Jorvel\Core\Shared\InputError;
use Jorvel\Core\Shared\Near;

/**
 * Does the engine hold its power through a control change-over.
 *
 * The reference is what it held before the first change; a flicker right after a change counts, what it settles at does
 * not. Contract: docs/core.md, core/schema/response.json.
 */
final readonly class Response
{
    public const NOT_STABILISED = 'not_stabilised';

    public const WATCH_TOO_SHORT = 'watch_too_short';

    /**
     * @param Verdict $verdict pass, fail or invalid; a failure beats what could not be judged
     * @param float|null $reference null where it was not stabilised
     * @param list<ChangeOver> $changes
     * @param list<string> $reasons each once
     */
    private function __construct(
        public Verdict $verdict,
        public ?float $reference,
        public ?float $low,
        public ?float $high,
        public array $changes,
        public array $reasons,
    ) {}

    /**
     * @param list<string> $modes the mode at each sample
     * @param string $signal what is watched
     * @param string|null $partner the sister's, which may take up the load
     * @param float|null $partnerLimit how far the sister may go from its own reference; null where that is free
     *
     * @throws InputError at `samples` without a change of mode, or without a signal that is asked for
     *
     * @pure
     */
    public static function of(
        Samples $samples,
        array $modes,
        string $signal,
        ?string $partner,
        Steadiness $hold,
        float $watch,
        float $limit,
        float $usual,
        ?float $partnerLimit = null,
    ): self {
        $changes = self::changes($modes);
        if ($changes === []) {
            throw InputError::at('samples', 'have no change of mode');
        }
        $values = $samples->column($signal);
        $partners = $partner === null ? null : $samples->column($partner);
        $c = $samples->t[$changes[0]];
        $from = $samples->at($c - $hold->seconds);
        // Samples must span the window: one at its beginning or before it.
        $spans = Near::atMost($samples->t[0], $c - $hold->seconds);
        $steady = $spans && $from < $changes[0] && $hold->holds($samples, $from, $changes[0]);
        if (! $steady) {
            return new self(Verdict::Invalid, null, null, null, [], [self::NOT_STABILISED]);
        }
        $reference = self::mean($values, $from, $changes[0]);
        $partnerIs = $partners === null ? null : self::mean($partners, $from, $changes[0]);
        $out = $reasons = [];
        $end = $samples->t[$samples->count() - 1];
        foreach ($changes as $k => $i) {
            $until = $samples->t[$i] + $watch;
            $next = isset($changes[$k + 1]) ? $samples->t[$changes[$k + 1]] : INF;
            $short = ! Near::atLeast(min($end, $next), $until);
            if ($short) {
                $reasons[] = self::WATCH_TOO_SHORT;
                $until = min($until, $next);
            }
            [$to, $quarter] = [$samples->at($until), $samples->at($samples->t[$i] + 0.75 * $watch)];
            $out[] = self::watched(
                $samples->t[$i],
                $modes[$i],
                array_slice($values, $i, $to - $i),
                array_slice($values, $quarter, $to - $quarter),
                $partners === null ? null : array_slice($partners, $i, $to - $i),
                $reference,
                $partnerIs,
                $limit,
                $usual,
                $partnerLimit,
                $short,
            );
        }
        $said = array_map(static fn(ChangeOver $o): Verdict => $o->verdict, $out);

        return new self(
            match (true) {
                in_array(Verdict::Fail, $said, true) => Verdict::Fail,
                in_array(Verdict::Invalid, $said, true) => Verdict::Invalid,
                default => Verdict::Pass,
            },
            $reference,
            $reference - $limit,
            $reference + $limit,
            $out,
            array_values(array_unique($reasons)),
        );
    }

    /**
     * What a transition did that somebody watched by eye: the highest and the lowest that it showed.
     *
     * @param float|null $settled null where nobody noted it
     * @param float|null $partner how far the sister went from its own reference; null without one
     * @param float|null $partnerLimit how far it may; null where that is free
     *
     * @pure
     */
    public static function seen(
        float $reference,
        float $high,
        float $low,
        ?float $settled,
        ?float $partner,
        float $limit,
        float $usual,
        ?float $partnerLimit = null,
    ): ChangeOver {
        $excursion = self::excursion([$high, $low], $reference);

        return new ChangeOver(
            0.0,
            '',
            self::within($excursion, $limit, $partner, $partnerLimit) ? Verdict::Pass : Verdict::Fail,
            $high,
            $low,
            $excursion,
            $settled,
            $partner,
            ! Near::atMost(abs($excursion), $usual),
        );
    }

    /**
     * @param list<float> $values of the watch, the changed sample at least
     * @param list<float> $last of its last quarter
     * @param list<float>|null $partners
     */
    private static function watched(
        float $at,
        string $to,
        array $values,
        array $last,
        ?array $partners,
        float $reference,
        ?float $partnerIs,
        float $limit,
        float $usual,
        ?float $partnerLimit,
        bool $short,
    ): ChangeOver {
        $excursion = self::excursion($values, $reference);
        $partner = $partners === null || $partners === [] || $partnerIs === null
            ? null
            : self::excursion($partners, $partnerIs);

        return new ChangeOver(
            $at,
            $to,
            match (true) {
                $short => Verdict::Invalid,
                self::within($excursion, $limit, $partner, $partnerLimit) => Verdict::Pass,
                default => Verdict::Fail,
            },
            max([-INF, ...$values]),
            min([INF, ...$values]),
            $excursion,
            $last === [] ? null : array_sum($last) / count($last),
            $partner,
            ! Near::atMost(abs($excursion), $usual),
        );
    }

    private static function within(float $excursion, float $limit, ?float $partner, ?float $partnerLimit): bool
    {
        return Near::atMost(abs($excursion), $limit)
            && ($partner === null || $partnerLimit === null || Near::atMost(abs($partner), $partnerLimit));
    }

    /** @param list<float> $values at least one */
    private static function excursion(array $values, float $reference): float
    {
        [$up, $down] = [max([-INF, ...$values]) - $reference, min([INF, ...$values]) - $reference];

        return $up >= -$down ? $up : $down;
    }

    /** @param list<float> $values */
    private static function mean(array $values, int $from, int $to): float
    {
        return array_sum(array_slice($values, $from, $to - $from)) / ($to - $from);
    }

    /**
     * @param list<string> $modes
     *
     * @return list<int> samples at which the mode is another than at the one before
     */
    private static function changes(array $modes): array
    {
        $out = [];
        $n = count($modes);
        for ($i = 1; $i < $n; $i++) {
            if ($modes[$i] !== $modes[$i - 1]) {
                $out[] = $i;
            }
        }

        return $out;
    }

    /** @return array<string, mixed> */
    public function toArray(): array
    {
        return [
            'verdict' => $this->verdict->value,
            'reference' => $this->reference,
            'low' => $this->low,
            'high' => $this->high,
            'changes' => array_map(static fn(ChangeOver $c): array => $c->toArray(), $this->changes),
            'reasons' => $this->reasons,
        ];
    }
}
