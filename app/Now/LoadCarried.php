<?php

declare(strict_types=1);

namespace App\Now;

use App\Deferrals\Model\Deferral;
use App\Deferrals\Model\ListedItem;
use Jorvel\Core\Deferrals\Carried;
use Jorvel\Core\Deferrals\ClockResult;
use Jorvel\Core\Deferrals\ListedItem as Allowed;
use Jorvel\Core\Deferrals\Procedure;
use Jorvel\Core\Shared\Instant;

/** The one maker of what `dispatch` and `swap` ask: what an aircraft carries, as far as it bears on a flight. */
final readonly class LoadCarried
{
    /**
     * @param iterable<Deferral> $deferrals of one aircraft, with `listedItem`
     * @param array<array-key, ClockResult> $clocks by deferral
     *
     * @return list<Carried>
     */
    public function of(iterable $deferrals, array $clocks): array
    {
        $many = [];
        foreach ($deferrals as $deferral) {
            $code = $deferral->listedItem->code;
            $many[$code] = ($many[$code] ?? 0) + 1;
        }
        $out = [];
        foreach ($deferrals as $deferral) {
            $terms = $deferral->listedItem->terms();
            $out[] = self::carried(
                (string) $deferral->id,
                $terms,
                $many[$terms->code],
                $deferral->placard_at !== null,
                match (true) {
                    ! $deferral->procedure_done => Procedure::Open,
                    $terms->safe === null => Procedure::None,
                    default => Procedure::Done,
                },
                $clocks[$deferral->id]->expiresAt ?? null,
            );
        }

        return $out;
    }

    /**
     * One more beside them, as it would be once it is made safe.
     *
     * @param iterable<Deferral> $deferrals
     */
    public function supposed(ListedItem $item, iterable $deferrals, ?Instant $expires): Carried
    {
        $many = 1;
        foreach ($deferrals as $deferral) {
            $many += $deferral->listedItem->code === $item->code ? 1 : 0;
        }

        return self::carried('new', $item->terms(), $many, true, Procedure::Done, $expires);
    }

    private static function carried(
        string $id,
        Allowed $terms,
        int $many,
        bool $placard,
        Procedure $procedure,
        ?Instant $expires,
    ): Carried {
        return Carried::of(
            $id,
            $terms->system,
            min($many, $terms->installed),
            $terms->installed,
            $terms->required,
            $terms->needs,
            array_fill_keys($terms->forbids, true),
            $terms->restricts,
            $placard,
            $procedure,
            $expires,
        );
    }
}
