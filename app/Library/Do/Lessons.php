<?php

declare(strict_types=1);

namespace App\Library\Do;

use App\Crew\Model\Person;
use App\Library\Model\CardTemplate;
use App\Library\Model\Lesson;
use App\Shared\Clock;
use App\Shared\Notices;
use App\Shared\Records;
use App\Shared\Refused;
use Illuminate\Support\Facades\DB;

/** What went wrong at a card once: proposed from the floor, accepted by name, read once by whoever takes the card. */
final readonly class Lessons
{
    public function __construct(private Clock $clock, private Records $records, private Notices $notices) {}

    /** @param int|null $card at which it was learned */
    public function propose(Person $by, CardTemplate $template, ?int $card, string $text): Lesson
    {
        return DB::transaction(function () use ($by, $template, $card, $text): Lesson {
            if (Lesson::where(['template_id' => $template->id, 'text' => $text])->exists()) {
                throw Refused::because("That stands with {$template->code} already. Nothing was saved.");
            }
            $lesson = Lesson::create([
                'template_id' => $template->id, 'card_id' => $card, 'text' => $text, 'proposed_by' => $by->id,
                'proposed_at' => (string) $this->clock->now(), 'state' => Lesson::PROPOSED,
            ]);
            $this->records->write($by, 'lesson.proposed', "template:{$template->id}", [
                'lesson' => $lesson->id, 'code' => $template->code, 'text' => $text,
            ]);

            return $lesson;
        });
    }

    /**
     * @param string|null $why it is declined; null where it is accepted
     *
     * @throws Refused for one that is decided, or one's own
     */
    public function decide(Person $by, int $id, ?string $why): Lesson
    {
        return DB::transaction(function () use ($by, $id, $why): Lesson {
            $lesson = Lesson::with('template.type')->findOrFail($id);
            if ($lesson->state !== Lesson::PROPOSED) {
                throw Refused::because('It is decided already. Nothing was changed.');
            }
            if ($lesson->proposed_by === $by->id) {
                throw Refused::because('You proposed it; somebody else accepts it. Nothing was changed.');
            }
            $lesson->update([
                'state' => $why === null ? Lesson::ACCEPTED : Lesson::DECLINED, 'decided_by' => $by->id,
                'decided_at' => (string) $this->clock->now(), 'why' => $why ?? '',
            ]);
            $this->records->write($by, "lesson.{$lesson->state}", "template:{$lesson->template_id}", [
                'lesson' => $lesson->id, 'code' => $lesson->template->code, ...$why === null ? [] : ['why' => $why],
            ]);
            $this->notices->tell(
                $lesson->proposed_by,
                $why === null
                    ? "{$by->name} accepted what you proposed for {$lesson->template->code}: whoever takes the card "
                        .'next reads it first.'
                    : "{$by->name} declined what you proposed for {$lesson->template->code}: {$why}",
                "/library/cards/{$lesson->template->type->code}/{$lesson->template->code}",
            );

            return $lesson;
        });
    }

    /** Somebody has read all that stands with a card; once is enough. */
    public function read(Person $by, CardTemplate $template): void
    {
        DB::transaction(function () use ($by, $template): void {
            $unread = Lesson::unread($by->id, $template->id)->pluck('id')->all();
            if ($unread === []) {
                return;
            }
            $now = (string) $this->clock->now();
            DB::table('lesson_reads')->insertOrIgnore(array_map(
                static fn(int $id): array => ['lesson_id' => $id, 'person_id' => $by->id, 'at' => $now],
                $unread,
            ));
            $this->records->write($by, 'lesson.read', "template:{$template->id}", [
                'code' => $template->code, 'lessons' => $unread,
            ]);
        });
    }

    /** @throws Refused while somebody who begins at a card has not read what went wrong there once */
    public function requireRead(Person $by, CardTemplate $template): void
    {
        if (Lesson::unread($by->id, $template->id)->isNotEmpty()) {
            throw Refused::because("Read first what went wrong at {$template->code} once; it stands above the steps. "
                .'Nothing was changed.');
        }
    }
}
