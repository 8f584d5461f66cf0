<?php

declare(strict_types=1);

namespace App\Library\Do;

use App\Crew\Model\Person;
use App\Library\Model\Manual;
use App\Library\Model\Question;
use App\Shared\Clock;
use App\Shared\Records;
use App\Shared\Refused;
use Illuminate\Support\Facades\DB;

/** Questions to a type's support desk, kept with the section they are about, and the answers that came. */
final readonly class AskDesk
{
    public function __construct(private Clock $clock, private Records $records) {}

    public function ask(Person $by, Manual $manual, string $section, string $text): Question
    {
        return DB::transaction(function () use ($by, $manual, $section, $text): Question {
            $question = Question::create([
                'manual_id' => $manual->id,
                'section' => $section,
                'asked_by' => $by->id,
                'asked_at' => (string) $this->clock->now(),
                'text' => $text,
            ]);
            $this->records->write(
                $by,
                'question.asked',
                "question:{$question->id}",
                ['manual' => $manual->code, 'section' => $section, 'text' => $text],
            );

            return $question;
        });
    }

    /** @throws Refused when it has one */
    public function answer(Person $by, Question $question, string $answer, ?string $reference): void
    {
        DB::transaction(function () use ($by, $question, $answer, $reference): void {
            if ($question->refresh()->answer !== null) {
                throw Refused::because('This question has its answer. Ask a new one where it leaves something open.');
            }
            $question->update([
                'answer' => $answer,
                'reference' => $reference,
                'answered_by' => $by->id,
                'answered_at' => (string) $this->clock->now(),
            ]);
            $this->records->write(
                $by,
                'question.answered',
                "question:{$question->id}",
                ['answer' => $answer, 'reference' => $reference],
            );
        });
    }
}
