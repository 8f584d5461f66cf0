<?php

declare(strict_types=1);

namespace App\Fleet;

use App\Fleet\Model\Aircraft;
use App\Fleet\Model\Component;
use App\Fleet\Model\ComponentTenure;
use App\Floor\Model\Card;
use Jorvel\Core\Fleet\ComponentTag;
use Jorvel\Core\Fleet\NotHere;

/** What is said of components that move. */
final class ComponentWords
{
    /**
     * @param Component $component with `tenure.craft`
     * @param Aircraft $to with `type`
     * @param array<string, list<string>> $places part numbers at each place for its kind on the type
     */
    public static function notHere(
        NotHere $why,
        Component $component,
        Aircraft $to,
        string $position,
        ?ComponentTenure $there,
        array $places,
    ): string {
        $name = $component->name();

        return match ($why) {
            NotHere::There => "{$name} is already on {$to->mark}, {$position}.",
            NotHere::Elsewhere => "{$name} is fitted to {$component->tenure?->craft->mark}, "
                ."{$component->tenure?->position}, as Fleet has it. Read its plate again, or have that put right "
                .'first.',
            NotHere::Taken => "{$to->mark} has {$there?->component->name()} at {$position}. Take that off first.",
            NotHere::Tagged => "{$name} is tagged ".self::tag($component->tag)
                .($component->tag_why === null ? '' : ": {$component->tag_why}").'. It is not fitted to anything.',
            NotHere::NoCounter => self::noCounter($component, $to),
            NotHere::NoKind => "{$name} does not go onto {$to->mark}: no {$to->type->code} takes any "
                ."{$component->kind}.",
            NotHere::NoPlace => "{$to->mark} has no place \"{$position}\" for any {$component->kind}; there "
                .(count($places) === 1 ? 'is ' : 'are ').implode(', ', array_keys($places)).'.',
            NotHere::WrongNumber => "{$name} is {$component->part_no}; a {$to->type->code} takes "
                .implode(' or ', array_unique(array_merge(...array_values($places)))).'.',
        };
    }

    /** @param Card $card with `visit.aircraft`: its work, in a visit that is not released */
    public static function inVisit(Component $component, Card $card): string
    {
        $in = "\"{$card->visit->title}\" of {$card->visit->aircraft->mark}";

        return $card->worked()
            ? "Card {$card->number}, {$card->title}, was worked on {$component->name()} in {$in}, and counts with its "
                .'release: release that first.'
            : "{$component->name()} has work in {$in}: card {$card->number}, {$card->title}. Take it out of that visit "
                .'first, or work it.';
    }

    public static function tag(ComponentTag $tag): string
    {
        return match ($tag) {
            ComponentTag::Suspect => 'to be looked into',
            default => str_replace('_', ' ', $tag->value),
        };
    }

    private static function noCounter(Component $component, Aircraft $to): string
    {
        foreach ($component->accrues as $own => [$of]) {
            if (! isset($to->counters[$of])) {
                return "{$component->name()} counts {$own} by the aircraft's {$of}, and {$to->mark} has no such "
                    .'counter.';
            }
        }

        return '';
    }
}
