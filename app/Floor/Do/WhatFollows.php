<?php

declare(strict_types=1);

namespace App\Floor\Do;

use App\Crew\Model\Person;
use App\Floor\Model\Card;
use App\Floor\Model\Finding;
use App\Floor\Model\FollowUp;
use App\Library\Model\CardTemplate;
use App\Library\Model\FollowRule;
use App\Shared\Records;
use App\Visits\Do\MakeCard;
use App\Visits\Do\VisitFrame;
use App\Visits\Model\Visit;
use Jorvel\Core\Library\FollowKind;
use Jorvel\Core\Library\FollowUp as Follows;

/** Opens what follows from a finding by the rules of Library, in the transaction in which the finding is raised. */
final readonly class WhatFollows
{
    public function __construct(private MakeCard $make, private VisitFrame $frame, private Records $records) {}

    /** By every rule in force that the finding is of the sort of. */
    public function from(Person $by, Finding $finding, Card $found): void
    {
        foreach (FollowRule::inForce($found->aircraft->type_id)->get() as $rule) {
            $of = $rule->rule();
            if ($of->holds($finding->chapter, "{$finding->place} {$finding->extent}")) {
                $this->open($by, $finding, $found, $rule, $of->then);
            }
        }
    }

    /**
     * @param Card $found at which the finding was raised
     * @param list<Follows> $then
     * @param bool $settles the first card settles the finding when it is closed
     *
     * @return Card|null the first card that was opened
     */
    public function open(
        Person $by,
        Finding $finding,
        Card $found,
        FollowRule $rule,
        array $then,
        bool $settles = false,
    ): ?Card {
        $first = null;
        foreach ($then as $follow) {
            $card = $follow->card === null
                ? null
                : $this->card($found, $finding, $follow->card, $settles && $first === null);
            $first ??= $card;
            FollowUp::create([
                'finding_id' => $finding->id, 'rule_id' => $rule->id, 'choices' => $follow->choices,
                // A card that is not here any more is looked for by somebody, not forgotten.
                'kind' => $follow->kind === FollowKind::Card && $card === null ? FollowKind::Look : $follow->kind,
                'text' => $card === null && $follow->card !== null
                    ? "{$follow->text}: card {$follow->card} is not in Library"
                    : $follow->text,
                'chapter' => $follow->chapter, 'card_id' => $card?->id, 'state' => FollowUp::OPEN,
            ]);
        }
        $this->records->write($by, 'finding.follows', "finding:{$finding->id}", [
            'number' => $finding->number, 'rule' => $rule->code, 'version' => $rule->version,
            'opened' => array_map(static fn(Follows $f): string => "{$f->kind->value}: {$f->text}", $then),
        ]);
        if ($first !== null && $found->visit->kind !== Visit::CHECK) {
            $this->frame->complete($found->visit);
        }

        return $first;
    }

    private function card(Card $found, Finding $finding, string $code, bool $settles): ?Card
    {
        $template = CardTemplate::where(['type_id' => $found->aircraft->type_id, 'code' => $code])->first();
        if ($template === null) {
            return null;
        }
        $found->visit->loadMissing('aircraft.type');

        return ($this->make)($found->visit, $template, $found->visit->cardsMade() + 1, [
            'title' => "{$template->title}: {$finding->number}, {$finding->place}",
            ...$settles ? ['finding_id' => $finding->id] : [],
        ], $finding->chapter);
    }
}
