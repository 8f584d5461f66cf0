<?php

declare(strict_types=1);

namespace App\Bench\Do;

use App\Bench\Model\FollowedPoint;
use App\Bench\Show\Trends;
use App\Crew\Model\Person;
use App\Floor\Model\Reading;
use App\Floor\Model\Step;
use App\Shared\Clock;
use App\Shared\Records;
use App\Shared\Refused;
use Illuminate\Support\Facades\DB;

/**
 * A point is taken into the due list, or out of it again. Its date there is the one that its latest readings give, not
 * one that was written down once.
 */
final readonly class FollowTrend
{
    public function __construct(private Clock $clock, private Records $records, private Trends $trends) {}

    /** @throws Refused for a point that heads for no limit, stands there already, or no more */
    public function __invoke(Person $by, int $readingId, bool $follow, string $why): void
    {
        $reading = Reading::findOrFail($readingId);
        $step = Step::with('card.aircraft')->findOrFail($reading->step_id);
        $is = [
            'aircraft_id' => $step->card->aircraft_id, 'template_id' => $step->card->template_id,
            'title' => $step->title, 'point' => $reading->point,
        ];
        if ($follow && $this->trends->of($readingId)?->date === null) {
            throw Refused::because('It heads for no limit now: there is no date to take. Nothing was saved.');
        }
        $now = (string) $this->clock->now();
        DB::transaction(function () use ($by, $is, $step, $follow, $why, $now): void {
            $stands = FollowedPoint::standing()->where($is)->first();
            if (($stands !== null) === $follow) {
                throw Refused::because($follow
                    ? 'It stands in the due list already. Nothing was saved.'
                    : 'It does not stand in the due list any more. Nothing was saved.');
            }
            if ($stands === null) {
                $stands = FollowedPoint::create([...$is, 'person_id' => $by->id, 'at' => $now, 'why' => $why]);
            } else {
                $stands->update(['ended_by' => $by->id, 'ended_at' => $now, 'ended_why' => $why]);
            }
            $this->records->write($by, $follow ? 'trend.followed' : 'trend.left', "trend:{$stands->id}", [
                'aircraft' => $step->card->aircraft->mark, 'step' => $is['title'], 'point' => $is['point'],
                'why' => $why,
            ]);
        });
    }
}
