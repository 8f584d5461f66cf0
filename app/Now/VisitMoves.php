<?php

declare(strict_types=1);

namespace App\Now;

use App\Shared\Refused;
use App\Visits\Model\Visit;
use Jorvel\Core\Shared\Day;

/**
 * Whether a visit can go to other days or into another bay, by whatever door. Until it is begun that is planning; from
 * then on its first day stands, and the rest wants a reason.
 */
final readonly class VisitMoves
{
    public function __construct(private LoadBay $bays) {}

    /**
     * @param Visit $visit as it is saved
     * @param string $kept what the refusal ends with
     *
     * @throws Refused for one that is released, or begun and moved without a reason
     */
    public function requireMay(Visit $visit, Day $start, ?string $reason, string $kept): void
    {
        if ($visit->state === Visit::RELEASED) {
            throw Refused::because("\"{$visit->title}\" is released; it stays as it was. {$kept}");
        }
        if ($visit->state !== Visit::IN_WORK) {
            return;
        }
        if ($start->number !== $visit->start->number) {
            throw Refused::because(
                "\"{$visit->title}\" began on {$visit->start}, and that day stands: only its end can move. {$kept}",
            );
        }
        if (trim((string) $reason) === '') {
            throw Refused::because("\"{$visit->title}\" has begun: say why it is changed. {$kept}");
        }
    }

    /**
     * @param Visit $visit with its aircraft; with cards and their items where it goes to another bay
     * @param string $kept what the refusal ends with
     * @param array<int, Visit> $as visits as somebody supposes them, by id, in place of what is saved
     *
     * @throws Refused where it cannot stand then
     */
    public function requirePlace(
        Visit $visit,
        string $bay,
        Day $start,
        Day $end,
        string $kept,
        array $as = [],
    ): void {
        $this->bays->requireDays($start, $end, $kept);
        if ($bay !== $visit->bay) {
            $this->bays->requireKnown($bay, $kept);
            $this->bays->requireWashes($bay, LoadBay::dry($visit->cards), $kept);
        }
        $this->bays->requireFree($bay, $start, $end, $kept, $visit->id, $as);
        $this->bays->requireApart($visit->aircraft, $start, $end, $kept, $visit->id, $as);
    }
}
