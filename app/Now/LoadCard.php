<?php

declare(strict_types=1);

namespace App\Now;

use App\Floor\Model\Card;
use App\Floor\Model\Step;
use App\Shared\Clock;
use Illuminate\Support\Facades\DB;
use Jorvel\Core\Floor\Acts;
use Jorvel\Core\Floor\CardProgress;
use Jorvel\Core\Floor\How;
use Jorvel\Core\Floor\Touch;
use Jorvel\Core\Now\CardNow;
use Jorvel\Core\Now\CardRef;
use Jorvel\Core\Now\StepNow;
use Jorvel\Core\Shared\Instant;

/** The one maker of the picture of a card, with all that is at its aircraft. */
final readonly class LoadCard
{
    public const WITH = ['steps', 'aircraft.type', 'template.manual', 'assignments.person.qualifications', 'waitsFor:id,number,title,state', 'openHandover', 'hands', 'visit'];

    public function __construct(private LoadAircraft $aircraft, private Clock $clock) {}

    public function __invoke(int $cardId): CardFile
    {
        $floor = (int) DB::table('aircraft')->join('cards', 'cards.aircraft_id', '=', 'aircraft.id')->where('cards.id', $cardId)->value('floor_count');

        return $this->of(Card::with(self::WITH)->findOrFail($cardId), $floor);
    }

    /** @param Card $card with {@see WITH} */
    public function of(Card $card, ?int $floorCount = null): CardFile
    {
        $card->steps->each(static fn(Step $s) => $s->setRelation('card', $card));
        $first = $card->mustWaitFor();

        return new CardFile($card, new CardNow(
            self::ref($card),
            new Touch($card->systems, $card->zone),
            $card->critical,
            $card->revisionCurrent(),
            array_values($card->steps->map(self::step(...))->all()),
            array_map(strval(...), $card->performers()),
            array_values(array_map(strval(...), $card->steps->where('kind', 'inspection')->pluck('done_by')->filter()->unique()->all())),
            $card->openHandover === null ? null : (string) $card->openHandover->person_id,
            $first === null ? null : new CardRef((string) $first->id, $first->number, $first->title, CardProgress::from($first->state)),
            $this->aircraft->on($card->aircraft_id),
            $card->visit->daysEarly($this->clock->today()),
        ), $floorCount ?? $card->aircraft->floor_count);
    }

    public static function step(Step $step): StepNow
    {
        $acts = $step->spec['acts'] ?? null;

        return new StepNow(
            $step->no,
            $step->kind,
            $step->title,
            $step->state === Step::DONE,
            $step->started_at === null ? null : Instant::parse($step->started_at),
            $acts === null ? null : Acts::on(How::from($acts['how']), $acts['systems'], $acts['with'] ?? []),
            $step->spec['ends'] ?? [],
            $step->spec['group'] ?? null,
        );
    }

    private static function ref(Card $card): CardRef
    {
        return new CardRef((string) $card->id, $card->number, $card->title, CardProgress::from($card->state), (string) $card->visit_id, $card->visit->title);
    }
}
