<?php

declare(strict_types=1);

namespace Jorvel\Core\Deferrals;

use Jorvel\Core\Floor\CardProgress;

/**
 * How far the closure of a deferral has come, nothing skipped: what it waits for is there; the fix; the reverse of what
 * made it safe; the test; the independent inspection of each of these; the placard; the log.
 */
final readonly class ClosingThread
{
    /**
     * @param array<string, 'done'|'now'|'later'|'none'> $stages by {@see Stage}; `none` where there is nothing to do
     */
    private function __construct(public array $stages) {}

    /**
     * @param list<StageCard> $cards of the closure
     * @param list<Stage> $wants stages that this deferral has
     * @param bool $ready whether nothing is waited for
     * @param int $devices still on under it
     * @param bool $placardOff whether its placard is off
     *
     * @pure
     */
    public static function of(array $cards, array $wants, bool $ready, int $devices, bool $placardOff): self
    {
        $inspect = array_filter($cards, static fn(StageCard $c): bool => $c->state === CardProgress::Signed);
        $worked = static function (Stage $stage, bool $signed) use ($cards): bool {
            $of = array_filter($cards, static fn(StageCard $c): bool => $c->stage === $stage);

            return $of !== [] && array_filter($of, static fn(StageCard $c): bool => $c->state !== CardProgress::Closed
                && ! ($signed && $c->state === CardProgress::Signed)) === [];
        };
        $done = [
            Stage::Ready->value => $ready || $cards !== [],
            Stage::Fix->value => $worked(Stage::Fix, true),
            Stage::Reverse->value => $worked(Stage::Reverse, true) && $devices === 0,
            Stage::Test->value => $worked(Stage::Test, true),
            Stage::Inspect->value => $inspect === [],
            Stage::Placard->value => $placardOff,
            Stage::Log->value => false,
        ];
        $stages = [];
        $open = false;
        foreach (Stage::cases() as $stage) {
            $has = in_array($stage, [Stage::Ready, Stage::Fix, Stage::Placard, Stage::Log], true)
                || in_array($stage, $wants, true) || ($stage === Stage::Inspect && $inspect !== []);
            $stages[$stage->value] = match (true) {
                ! $has => 'none',
                // Inspected is only what was worked before.
                $done[$stage->value] && ! ($open && $stage === Stage::Inspect) => 'done',
                $open => 'later',
                default => 'now',
            };
            $open = $open || $stages[$stage->value] === 'now';
        }

        return new self($stages);
    }

    /** Whether only the log is left to be closed. @pure */
    public function mayClose(): bool
    {
        return $this->stages[Stage::Log->value] === 'now';
    }

    /** What is to be done now. @pure */
    public function now(): Stage
    {
        return Stage::from((string) array_search('now', $this->stages, true));
    }
}
