<?php

declare(strict_types=1);

namespace App\Floor;

use App\Floor\Model\Card;
use App\Floor\Model\Step;
use App\Floor\Show\View\HoldView;
use App\Shared\Clock;
use App\Shared\Words;
use App\Stores\Model\PartBatch;
use App\Visits\Model\Visit;
use Jorvel\Core\Bench\Verdict;
use Jorvel\Core\Floor\DisturbanceAct;
use Jorvel\Core\Floor\DisturbedHow;
use Jorvel\Core\Floor\Handling;
use Jorvel\Core\Floor\NotNow;
use Jorvel\Core\Floor\NotSigned;
use Jorvel\Core\Floor\Proof;
use Jorvel\Core\Floor\SecondWord;
use Jorvel\Core\Library\AppliesTo;
use Jorvel\Core\Library\Unmet;
use Jorvel\Core\Now\Acting;
use Jorvel\Core\Now\CardNow;
use Jorvel\Core\Now\DeviceOn;
use Jorvel\Core\Now\Disturbance;
use Jorvel\Core\Now\LoanOut;
use Jorvel\Core\Now\NotWhole;
use Jorvel\Core\Now\PersonAt;
use Jorvel\Core\Shared\Unit;

/** What the Floor says: codes and pictures in, sentences out. It reads nothing and decides nothing. */
final class FloorWords
{
    /** Why nobody may work or sign a card as it stands. */
    public static function notNow(NotNow $why, Card $card, Clock $clock): string
    {
        return match ($why) {
            NotNow::Worked => "Card {$card->number} is signed; its steps stand as they are.",
            NotNow::Over => "\"{$card->visit->title}\" is over; nobody works at card {$card->number} any more. "
                .'Nothing was changed.',
            NotNow::Waits => "Card {$card->number} waits for ".self::waitsFor($card).'. That is worked first; '
                .'nothing was changed here.',
            NotNow::ToReRead => "Card {$card->number} was written from "
                ."revision {$card->revision}; {$card->template->manual->code} is at "
                ."revision {$card->template->revisionInForce()}. It must be re-read and accepted first. Nothing was "
                .'changed.',
            NotNow::Early => self::early($card->visit, $clock).' Nothing was changed.',
            NotNow::HandedOver => "{$card->openHandover?->person->name} handed card {$card->number} over, and "
                .'nobody has taken it over. Read what was left, and take it over first. Nothing was changed.',
        };
    }

    /** Why a card cannot be signed as worked. */
    public static function notSigned(NotSigned $why, CardNow $card): string
    {
        $number = $card->ref->number;

        return match ($why) {
            NotSigned::AlreadySigned => "Card {$number} is already signed.",
            NotSigned::StepsOpen => 'Still open: step '.implode(', ', $card->stepsOpen()).'. A card is signed when '
                .'all its steps are done.',
            NotSigned::StillLive => ucfirst(implode(
                ' and ',
                array_map(
                    static fn(Acting $a): string => implode(' and ', $a->systems).", since step {$a->step}",
                    $card->on->actingOf($card->ref->id),
                ),
            )).': still '.'under power or pressure. End that first; nothing was signed.',
            NotSigned::NoHandInIt => "You had no hand in card {$number}. Whoever worked it signs it; nothing was "
                .'signed.',
            NotSigned::InspectedIt => "You inspected a step of card {$number}, so you cannot sign its work. Whoever "
                .'worked it signs; nothing was signed.',
            NotSigned::LoansOut => 'Still out on the card: '.implode(
                '; ',
                array_map(self::loan(...), $card->on->loansOf($card->ref->id)),
            ).'. Count everything in; nothing was signed.',
        };
    }

    public static function early(Visit $visit, Clock $clock): string
    {
        return "\"{$visit->title}\" is planned to begin on {$clock->words($visit->start)}. If it is to "
            .'begin today, begin the visit first.';
    }

    public static function waitsFor(Card $card): string
    {
        $first = $card->mustWaitFor();

        return "{$first?->number}, {$first?->title}";
    }

    public static function loan(LoanOut $loan): string
    {
        return $loan->quantity === 1 ? $loan->what : "{$loan->quantity} {$loan->what}";
    }

    /** Somebody at their work. */
    public static function personHolds(PersonAt $p, string $since): HoldView
    {
        return new HoldView(
            kind: 'person',
            name: $p->name,
            said: "{$p->name} works on {$p->card->number} {$p->card->title}, {$p->touch->zone}, since {$since}",
            link: "/floor/{$p->card->id}",
            action: "Call {$p->name} clear",
            person: (int) $p->id,
            card: (int) $p->card->id,
        );
    }

    /** A system in motion, or live. */
    public static function actingHolds(Acting $a, string $since): HoldView
    {
        $systems = implode(' and ', $a->systems);
        $said = $a->running
            ? "step {$a->step} of {$a->card->number}, {$a->title}, {$a->how->value} {$systems} "
                ."since {$since}, begun by {$a->by}"
            : "{$systems} ".($a->how->value === 'pressurises' ? 'under pressure' : 'under power')
            ." since {$since}: step {$a->step} of {$a->card->number} left it so";

        return new HoldView(
            kind: 'acting',
            name: $a->title,
            said: $said,
            link: "/floor/{$a->card->id}?step={$a->step}",
            action: "See step {$a->step} of {$a->card->number}",
        );
    }

    /** A device or an open line, with the step that takes it off. */
    public static function deviceHolds(DeviceOn $d, ?Step $remover): HoldView
    {
        return new HoldView(
            kind: $d->openLine ? 'open_line' : 'device',
            name: $d->kind,
            said: "{$d->kind}, {$d->place}, fitted by {$d->fittedBy}",
            link: $remover === null ? "/floor/{$d->card->id}" : "/floor/{$remover->card_id}?step={$remover->no}",
            action: $remover === null
                ? "Open card {$d->card->number}"
                : "Take it off: step {$remover->no} of {$remover->card->number}",
        );
    }

    /** @param list<string> $missing places */
    public static function callLapsed(Step $call, array $missing): HoldView
    {
        return new HoldView(
            kind: 'call',
            name: 'Roll-call',
            said: "the roll-call of step {$call->no} is too old for ".implode(', ', $missing),
            link: "/floor/{$call->card_id}?step={$call->no}",
            action: "Call again: step {$call->no}",
        );
    }

    /** @param list<HoldView> $holds */
    public static function said(array $holds): string
    {
        return implode('; ', array_map(static fn(HoldView $h): string => $h->said, $holds));
    }

    /** Why a step does not apply: "for F1 or F2; this one is F3". */
    public static function unmet(Unmet $unmet): string
    {
        $wanted = implode(' or ', $unmet->wanted);
        $is = $unmet->is ?? 'none';
        $said = match ($unmet->by) {
            AppliesTo::Tail => "it is for {$wanted}; this is {$is}",
            AppliesTo::Variant => "it is for {$wanted}; this aircraft is {$is}",
            AppliesTo::Option => "it is for aircraft with {$wanted}; fitted here: {$is}",
            AppliesTo::Position => "it is for {$wanted}; this is {$is}",
            AppliesTo::Answer => $is === 'not_applicable'
                ? 'what it rests on does not apply either'
                : "it follows the answer {$wanted}; the answer was {$is}",
        };

        return $unmet->why === null ? $said : "{$said} ({$unmet->why})";
    }

    /** @return string "leak check", "independent inspection" */
    public static function proof(Proof $proof): string
    {
        return match ($proof) {
            Proof::Leak => 'leak check', Proof::Bleed => 'bleeding',
            default => str_replace('_', ' ', $proof->value),
        };
    }

    /** "union 2: slackened at 14:02 by Oda Fenn, step 3 of 012-04". */
    public static function disturbed(Disturbance $d, string $at): string
    {
        $place = ($d->step === null ? '' : "step {$d->step} of ")."card {$d->card->number}";

        return "{$d->what}: ".match ($d->act) {
            DisturbanceAct::Disturbed => $d->how === DisturbedHow::Redone
                ? 'worked once more'
                : (string) $d->how?->value,
            DisturbanceAct::Joined => 'joined',
            DisturbanceAct::Proven => $d->proof === null ? 'proven' : self::proof($d->proof),
        }.", {$at}, {$d->by}, {$place}";
    }

    /** "union 2 is not proven since: leak check". */
    public static function notWhole(NotWhole $n): string
    {
        return $n->joined === null
            ? "{$n->what} is {$n->last->how?->value} and not joined"
            : "{$n->what} is not proven since it was last touched: "
                .implode(', ', array_map(self::proof(...), $n->missing));
    }

    /** @return list<string> "proves by leak check: union 1, union 2" */
    public static function handles(?Handling $handling): array
    {
        $said = array_map(
            static fn(array $d): string => "{$d['what']} is {$d['how']->value}; it is proven again by "
                .Words::list(array_map(self::proof(...), $d['needs'])),
            array_values(array_filter($handling->disturbs ?? [], static fn(array $d): bool => $d['needs'] !== [])),
        );
        if (($handling->joins ?? []) !== []) {
            $said[] = 'joined with it: '.implode(', ', $handling->joins);
        }
        foreach ($handling->proves ?? [] as $p) {
            $said[] = ucfirst(self::proof($p['by'])).' of '.implode(', ', $p['of']);
        }

        return $said;
    }

    /**
     * Whom a step is meant for: "Only for F1 or F2".
     *
     * @param array<string, mixed> $applies as in core/schema/step.json
     */
    public static function appliesTo(array $applies): string
    {
        $said = [];
        foreach ($applies as $by => $values) {
            $said[] = match ($by) {
                'why' => "because {$values}",
                'answer' => 'where the answer was '.implode(' or ', $values['is']),
                'option' => 'with '.implode(' or ', $values),
                default => implode(' or ', $values),
            };
        }

        return 'Only for '.implode(', ', $said);
    }

    /** A controller is told. */
    public static function waits(string $number, string $title, string $kind, string $what, string $by): string
    {
        return "Card {$number}, {$title}, ".self::stopped($kind, $what).". {$by} says so.";
    }

    /** "waits for a tool: the long grease gun". */
    public static function stopped(string $kind, string $what): string
    {
        $for = ['part' => 'a part', 'tool' => 'a tool', 'help' => 'help', 'answer' => 'an answer'][$kind] ?? $kind;

        return "waits for {$for}: {$what}";
    }

    /**
     * Why a product does not go in.
     *
     * @param array<string, mixed> $spec of the step
     */
    public static function productRefused(string $code, PartBatch $batch, array $spec, int $wanted): string
    {
        $part = $batch->part;

        return match ($code) {
            'never_meets' => "{$part->title} must never meet {$spec['system']}: keep it away, hands and rags as well.",
            'other_product' => "Batch {$batch->batch} is {$part->title}, "
                .($part->specification ?? 'of no specification')."; this step needs {$spec['product']}.",
            'shelf_life' => "The shelf life of batch {$batch->batch} ran out on {$batch->expires}.",
            default => "Batch {$batch->batch} holds {$batch->quantity} {$part->unit}; the step needs {$wanted}.",
        };
    }

    /**
     * "0.7 L in: 0.056 L per flight hour, usually 0.021; more than use explains, look for a leak".
     *
     * @param array<string, mixed> $said what a step put in, with its `rate`
     * @param array<string, mixed> $spec of the step
     */
    public static function uplift(array $said, array $spec): string
    {
        $system = $spec['each']['position'] ?? $spec['system'];
        $unit = Unit::parse($said['unit'])->label();
        $usual = $said['usual'] ?? null;

        return ucfirst("{$system}, ").Words::number((float) $said['quantity'], 3)." {$unit} in: "
            .Words::number((float) $said['rate'], 3)." {$unit} per flight hour"
            .($usual === null ? ', too few before to compare' : ', usually '.Words::number((float) $usual, 3))
            .(($said['leak'] ?? false) ? '; more than twice that is no use: look for a leak.' : '.');
    }

    /** What is said of a reading. */
    public static function reading(string $verdict, ?float $margin, string $unit): string
    {
        $by = $margin === null ? '' : Words::number(abs($margin), 3).' '.Unit::parse($unit)->label();

        return match (Verdict::from($verdict)) {
            Verdict::Pass => "inside, {$by} in hand",
            Verdict::Fail => "outside by {$by}",
            Verdict::Marginal => 'too near the limit for this tool: within its uncertainty',
            Verdict::Invalid => 'not a valid reading',
        };
    }

    /**
     * Who did which steps, for whoever signs: "steps 1 to 4 by Oda Fenn (T27), 5 and 6 by you".
     *
     * @param array<string, list<int>> $steps by name
     */
    public static function whoDid(array $steps): string
    {
        $parts = [];
        foreach ($steps as $name => $numbers) {
            $parts[] = Words::numbers($numbers)." by {$name}";
        }

        return ($parts === [] ? '' : (count($steps) === 1 && count(reset($steps)) === 1 ? 'step ' : 'steps '))
            .implode(', ', $parts);
    }

    /** @param array{says: string, from: string} $asked of the step */
    public static function second(SecondWord $why, array $asked): string
    {
        $word = "\u{201C}{$asked['says']}\u{201D}";

        return match ($why) {
            SecondWord::NotSaid => "A second person says {$word} first, from {$asked['from']}, on a device of their own.",
            SecondWord::SamePerson => "You said {$word} yourself: somebody else does the step, or says it.",
            SecondWord::TooLongAgo => "{$word} was said too long ago: it is said once more.",
        }.' Nothing was saved.';
    }

    /** A time as somebody says it: "1 h 20 min", "under a minute". */
    public static function lasted(int $seconds): string
    {
        $minutes = (int) round($seconds / 60);

        return match (true) {
            $minutes === 0 => 'under a minute',
            $minutes < 60 => "{$minutes} min",
            default => trim(intdiv($minutes, 60).' h '.($minutes % 60 === 0 ? '' : ($minutes % 60).' min')),
        };
    }
}
