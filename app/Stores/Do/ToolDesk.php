<?php

declare(strict_types=1);

namespace App\Stores\Do;

use App\Crew\Model\Person;
use App\Floor\Model\Card;
use App\Now\FloorCount;
use App\Shared\Clock;
use App\Shared\Records;
use App\Shared\Refused;
use App\Stores\Model\Tool;
use App\Stores\Model\ToolLoan;
use Illuminate\Database\Eloquent\Collection;
use Illuminate\Support\Facades\DB;

/** Tools, rags and small things are counted out to a card and a person, and in again. */
final readonly class ToolDesk
{
    public function __construct(private Clock $clock, private Records $records) {}

    /** @throws Refused when there is no such tool, it is of another kind, or it must not be used today */
    public function usable(string $kind, string $code): Tool
    {
        if ($code === '') {
            throw Refused::because("Choose the {$kind} that takes the reading.");
        }
        $tool = $this->inStore($code);
        if ($tool->kind !== $kind) {
            throw Refused::because("{$tool->code} is a {$tool->kind}; this reading needs a {$kind}.");
        }

        return $this->fit($tool);
    }

    private function inStore(string $code): Tool
    {
        return Tool::firstWhere('code', $code) ?? throw Refused::because("There is no tool {$code} in the store.");
    }

    private function fit(Tool $tool): Tool
    {
        $why = $tool->unusable($this->clock->today());
        if ($why !== null) {
            throw Refused::because("{$tool->code} {$why}. Take another {$tool->kind}; nothing was saved.");
        }

        return $tool;
    }

    /**
     * The tool is at the aircraft from now on, if it was not already.
     *
     * @throws Refused while it is out on another card
     */
    public function out(Person $by, Card $card, Tool $tool): void
    {
        if ($this->requireHere($card, $tool) === null) {
            $this->lend($by, $card, $tool, "{$tool->code} {$tool->title}", 1);
        }
    }

    /**
     * The tool is out on this card, or in the store.
     *
     * @return ToolLoan|null to this card
     *
     * @throws Refused while it is out on another card
     */
    public function requireHere(Card $card, Tool $tool): ?ToolLoan
    {
        $loan = ToolLoan::where('tool_id', $tool->id)->whereNull('in_at')->first();
        if ($loan !== null && $loan->card_id !== $card->id) {
            $loan->load(['card', 'person']);
            throw Refused::because(
                "{$tool->code} is out on card {$loan->card->number} with {$loan->person->name}. Have it counted in "
                    ."there first, or take another {$tool->kind}; nothing was saved.",
            );
        }

        return $loan;
    }

    /** @throws Refused for a tool that is not there, must not be used, or is out elsewhere */
    public function takeOut(Person $by, Card $card, string $code): void
    {
        DB::transaction(function () use ($by, $card, $code): void {
            $this->requireOpen($card);
            $this->out($by, $card, $this->fit($this->inStore($code)));
        });
    }

    /** Rags and small things without a number of their own. @throws Refused on a card that is worked */
    public function outSmall(Person $by, Card $card, string $what, int $quantity): void
    {
        DB::transaction(function () use ($by, $card, $what, $quantity): void {
            $this->requireOpen($card);
            $this->lend($by, $card, null, $what, $quantity);
        });
    }

    private function requireOpen(Card $card): void
    {
        if ($card->refresh()->worked()) {
            throw Refused::because(
                "Card {$card->number} is signed; nothing more goes out on it. Take it out on the card that it is for.",
            );
        }
    }

    private function lend(Person $by, Card $card, ?Tool $tool, string $what, int $quantity): void
    {
        FloorCount::up($card->aircraft_id);
        ToolLoan::create([
            'tool_id' => $tool?->id,
            'card_id' => $card->id,
            'person_id' => $by->id,
            'what' => $what,
            'quantity' => $quantity,
            'out_at' => (string) $this->clock->now(),
        ]);
        $this->records->write($by, 'tool.out', "card:{$card->id}", ['what' => $what, 'quantity' => $quantity]);
    }

    /**
     * Counts in one loan of a card.
     *
     * @throws Refused when fewer come back than went out; it then stays out
     */
    public function in(Person $by, ToolLoan $loan, int $counted): void
    {
        if ($loan->in_at !== null) {
            throw Refused::because("{$loan->what} is already counted in.");
        }
        $this->requireWhole($loan, $counted);
        DB::transaction(function () use ($by, $loan, $counted): void {
            FloorCount::up($loan->card->aircraft_id);
            if (ToolLoan::whereKey($loan->id)->whereNull('in_at')->update([
                'in_by' => $by->id,
                'in_at' => (string) $this->clock->now(),
            ]) === 0) {
                throw Refused::because("{$loan->what} is already counted in.");
            }
            $this->records->write(
                $by,
                'tool.in',
                "card:{$loan->card_id}",
                ['what' => $loan->what, 'quantity' => $counted],
            );
        });
    }

    /** @throws Refused when fewer, or more, come back than went out */
    public function requireWhole(ToolLoan $loan, int $counted): void
    {
        if ($counted !== $loan->quantity) {
            throw Refused::because(
                "{$loan->quantity} of {$loan->what} went out, {$counted} came back. Look for what is missing before "
                    .'anything is closed; it stays out.',
            );
        }
    }

    /** @return Collection<int, ToolLoan> what is out on a card */
    public function outOn(Card $card): Collection
    {
        return ToolLoan::with(['tool', 'person', 'card'])->where('card_id', $card->id)
            ->whereNull('in_at')
            ->orderBy('id')
            ->get();
    }
}
