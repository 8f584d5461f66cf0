<?php

declare(strict_types=1);

namespace App\Deferrals\Do;

use App\Deferrals\Model\Deferral;
use App\Deferrals\Model\DeferralCard;
use App\Floor\Model\Card;
use App\Floor\Model\Finding;
use App\Floor\Model\Step;
use App\Library\Model\CardTemplate;
use App\Shared\Refused;
use App\Visits\Do\MakeCard;
use App\Visits\Do\StandNow;
use App\Visits\Do\VisitFrame;
use App\Visits\Model\Visit;

/**
 * The card that makes a defect safe, from its listed item: in the visit in which it was found, or where the aircraft
 * stands. `{item}`, `{place}` and `{placard}` in its text are those of the deferral; the placard is its last step.
 */
final readonly class MakeSafe
{
    public function __construct(private MakeCard $make, private StandNow $stand, private VisitFrame $frame) {}

    /**
     * @param Deferral $deferral with `listedItem`
     * @param Finding $finding with `card.visit` and `aircraft.type`
     *
     * @throws Refused where the card is no longer in Library
     */
    public function make(Deferral $deferral, Finding $finding): Card
    {
        $terms = $deferral->listedItem->terms();
        $template = CardTemplate::with('manual')
            ->where(['type_id' => $finding->aircraft->type_id, 'code' => $terms->safe])->first()
            ?? throw Refused::because("Library has no card {$terms->safe}, which makes {$terms->code} safe. Nothing "
                .'was '
                .'deferred.');
        $visit = $finding->card->visit;
        if ($visit->state === Visit::RELEASED) {
            $visit = ($this->stand)($finding->aircraft, "Made safe: {$finding->number}");
        }
        $visit->setRelation('aircraft', $finding->aircraft);
        $card = ($this->make)($visit, $template, $visit->cardsMade() + 1, [
            'title' => "{$template->title}: {$deferral->name()}, {$finding->number}", 'makes' => Card::CARRY,
            'zone' => $finding->card->zone, 'systems' => $finding->aircraft->type->systemsOf($finding->chapter),
        ], $finding->chapter);
        $words = [
            '{item}' => lcfirst($deferral->name()), '{place}' => $finding->place, '{placard}' => $deferral->placard,
        ];
        $card->steps()->get()->each(static fn(Step $s) => $s->update(self::filled($s, $words)));
        Step::create([
            'card_id' => $card->id, 'no' => $card->steps()->count() + 1, 'kind' => 'instruction', 'state' => Step::OPEN,
            'title' => "Placard fitted: {$deferral->placard}", 'spec' => [],
            'text' => 'Where the crew reaches for it. Print it on the page of the deferral.',
        ]);
        DeferralCard::create(['deferral_id' => $deferral->id, 'card_id' => $card->id, 'part' => DeferralCard::SAFE]);
        $this->frame->complete($visit);

        return $card;
    }

    /**
     * @param array<string, string> $words
     *
     * @return array<string, mixed>
     */
    private static function filled(Step $step, array $words): array
    {
        $of = ['title' => $step->title, 'text' => $step->text, 'spec' => $step->spec];
        array_walk_recursive($of, static function (mixed &$value) use ($words): void {
            $value = is_string($value) ? strtr($value, $words) : $value;
        });

        return $of;
    }
}
