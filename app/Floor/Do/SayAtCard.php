<?php

declare(strict_types=1);

namespace App\Floor\Do;

use App\Crew\Model\Person;
use App\Floor\FloorWords;
use App\Floor\Model\Card;
use App\Floor\Model\Remark;
use App\Floor\Model\Stoppage;
use App\Now\CardFile;
use App\Now\CommitOnFloor;
use App\Shared\Clock;
use App\Shared\Records;
use App\Shared\Refused;
use Closure;

/** What is said at a card beside its steps: a remark, and what it waits for. The controllers hear of a wait at once. */
final readonly class SayAtCard
{
    public function __construct(
        private Clock $clock,
        private Records $records,
        private CommitOnFloor $commit,
        private TellControllers $tell,
    ) {}

    /** @throws Refused on a card that is closed */
    public function remark(Person $by, int $cardId, int $no, string $text): CardFile
    {
        return ($this->commit)($cardId, function (CardFile $file) use ($by, $no, $text): Closure {
            self::requireOpen($file->card);
            $step = $file->step($no);

            return function () use ($by, $file, $step, $text): void {
                Remark::create([
                    'card_id' => $file->card->id, 'step_id' => $step->id, 'person_id' => $by->id, 'text' => $text,
                    'at' => (string) $this->clock->now(),
                ]);
                $this->records->write(
                    $by,
                    'step.remarked',
                    "card:{$file->card->id}",
                    ['step' => $step->no, 'text' => $text],
                );
            };
        });
    }

    /**
     * @param string $kind one of {@see Stoppage::KINDS}
     * @param int|null $no of the step that waits
     *
     * @throws Refused on a card that is closed, or one that waits for the same already
     */
    public function wait(Person $by, int $cardId, string $kind, string $what, ?int $no): CardFile
    {
        return ($this->commit)($cardId, function (CardFile $file) use ($by, $kind, $what, $no): Closure {
            $card = $file->card;
            self::requireOpen($card);
            $step = $no === null ? null : $file->step($no);
            $same = Stoppage::where(['card_id' => $card->id, 'kind' => $kind, 'what' => $what])->whereNull('ended_at');
            if ($same->exists()) {
                throw Refused::because("Card {$card->number} waits for that already. Nothing was changed.");
            }

            return function () use ($by, $card, $kind, $what, $step): void {
                Stoppage::create([
                    'card_id' => $card->id, 'step_id' => $step?->id, 'kind' => $kind, 'what' => $what,
                    'person_id' => $by->id, 'since' => (string) $this->clock->now(),
                ]);
                $this->records->write($by, 'card.waits', "card:{$card->id}", [
                    'number' => $card->number, 'for' => $kind, 'what' => $what, 'step' => $step?->no,
                ]);
                ($this->tell)(
                    $by,
                    $card,
                    FloorWords::waits($card->number, $card->title, $kind, $what, $by->name),
                );
            };
        });
    }

    /** @throws Refused when that wait is over already */
    public function goOn(Person $by, int $cardId, int $stoppageId): CardFile
    {
        return ($this->commit)($cardId, function (CardFile $file) use ($by, $stoppageId): Closure {
            $wait = Stoppage::where(['card_id' => $file->card->id, 'id' => $stoppageId])->whereNull('ended_at')->first()
                ?? throw Refused::because('That wait is over already. Nothing was changed.');

            return function () use ($by, $file, $wait): void {
                $wait->update(['ended_by' => $by->id, 'ended_at' => (string) $this->clock->now()]);
                $this->records->write(
                    $by,
                    'card.goes_on',
                    "card:{$file->card->id}",
                    ['number' => $file->card->number, 'for' => $wait->kind, 'what' => $wait->what],
                );
            };
        });
    }

    private static function requireOpen(Card $card): void
    {
        if ($card->worked()) {
            throw Refused::because("Card {$card->number} is signed; it stands as it is. Nothing was changed.");
        }
    }
}
