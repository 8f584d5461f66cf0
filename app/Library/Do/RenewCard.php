<?php

declare(strict_types=1);

namespace App\Library\Do;

use App\Crew\Model\Person;
use App\Floor\Model\Card;
use App\Floor\Model\Step;
use App\Library\Model\CardTemplate;
use App\Shared\Records;
use App\Shared\Refused;
use App\Visits\Do\RemakeCard;
use Illuminate\Support\Facades\DB;

/** A card that nobody has begun takes the text that is in force now: {@see RemakeCard}. */
final readonly class RenewCard
{
    public function __construct(private RemakeCard $remake, private Records $records) {}

    /** @throws Refused for a card that is begun, or has the text in force already */
    public function __invoke(Person $by, int $cardId, int $version): Card
    {
        return DB::transaction(function () use ($by, $cardId, $version): Card {
            $card = Card::with(['template.manual', 'steps'])->findOrFail($cardId);
            $card->requireVersion($version);
            if ($card->state !== Card::OPEN || $card->steps->contains(static fn(Step $s): bool => $s->settled())) {
                throw Refused::because("Card {$card->number} is begun; it keeps the text that it was made from.");
            }
            $template = $card->template;
            if (! self::newer($card, $template)) {
                throw Refused::because("Card {$card->number} has the text that is in force already.");
            }
            $was = $card->template_version;
            ($this->remake)($card, $template);
            $card->update(['version' => $card->version + 1]);
            $this->records->write($by, 'card.renewed', "card:{$card->id}", [
                'number' => $card->number, 'template' => $template->code, 'from' => $was, 'to' => $template->version,
            ]);

            return $card;
        });
    }

    /**
     * Whether a card was made from an older text than its template has now. What is checked again after a tool was
     * withdrawn has the steps of another card, and no text of its own.
     */
    public static function newer(Card $card, CardTemplate $template): bool
    {
        return ! in_array($card->makes, Card::OWN_STEPS, true) && $template->version > $card->template_version;
    }
}
