<?php

declare(strict_types=1);

namespace App\Now;

use App\Floor\Model\Card;
use App\Shared\Refused;
use Closure;
use Illuminate\Support\Facades\DB;

/**
 * Load, ask, commit, for whatever happens at an aircraft.
 *
 * What the rules were asked of is read before the transaction; in it the card's version and the count of what happened
 * on its aircraft's floor are checked and counted up, and only then is anything written. When somebody else was faster
 * elsewhere on the same aircraft, it is loaded and asked again, so that nothing is begun on what is no longer true.
 */
final readonly class CommitOnFloor
{
    /** How often it is asked again before whoever asks is told to try once more. */
    private const TRIES = 6;

    public function __construct(private LoadCard $load) {}

    /**
     * @param Closure(CardFile): Closure $ask takes the card as it stands and answers with what is to be written: a
     *   closure that is called in the transaction and may change the card's fields, which are saved with it
     *
     * @throws Refused by what is asked, or when the card was changed meanwhile
     */
    public function __invoke(int $cardId, Closure $ask): CardFile
    {
        for ($try = 0; $try < self::TRIES; $try++) {
            $file = ($this->load)($cardId);
            try {
                $write = $ask($file);
            } catch (Refused $refused) {
                // A card and its steps are read one after the other: what was refused of a card that changed between is
                // asked again.
                if ($try + 1 < self::TRIES && ! $this->stands($file)) {
                    continue;
                }
                throw $refused;
            }
            try {
                DB::transaction(fn() => $this->commit($file, $write));

                return $file;
            } catch (FloorMoved) {
                // Nothing was committed, and no key either.
                continue;
            }
        }
        throw Refused::because(
            'Others are working on this aircraft at this very moment. Nothing was changed; send it again.',
        );
    }

    /** Whether the card is still as it was loaded. */
    private function stands(CardFile $file): bool
    {
        return Card::where(['id' => $file->card->id, 'version' => $file->card->version])->exists();
    }

    /** @throws FloorMoved when something happened at the aircraft since it was loaded */
    private function commit(CardFile $file, Closure $write): void
    {
        $card = $file->card;
        if (DB::table('aircraft')->where([
            'id' => $card->aircraft_id,
            'floor_count' => $file->floorCount,
        ])->increment('floor_count') === 0) {
            throw new FloorMoved;
        }
        if (Card::where(['id' => $card->id, 'version' => $card->version])->increment('version') === 0) {
            $file->requireVersion(-1);
        }
        $card->version++;
        $card->syncOriginalAttribute('version');
        $write($file);
        $card->save();
    }
}
