<?php

declare(strict_types=1);

namespace App\Bench\Http;

use App\Bench\Do\NewRecording;
use App\Bench\Model\Recorder;
use App\Fleet\Model\Aircraft;
use App\Floor\Model\Card;
use App\Floor\Model\TestAttempt;
use App\Shared\Http\RoomRequest;
use App\Shared\Refused;
use Jorvel\Core\Floor\AttemptState;
use Jorvel\Core\Shared\InputError;
use Jorvel\Core\Shared\Instant;

/** A recorder's file, from disk or from the simulator, to be looked at or saved. */
final class RecordingRequest extends RoomRequest
{
    public function authorize(): bool
    {
        return $this->person()->can('raise', Card::class);
    }

    /** @return array<string, string> */
    public function rules(): array
    {
        return [
            'mark' => 'required|string|max:20',
            'recorder' => 'required|integer',
            'name' => 'required|string|max:120',
            'begun' => 'required|string|max:30',
            'text' => 'required|string|max:9500000',
            'attempt' => 'sometimes|nullable|integer',
        ];
    }

    /** @throws Refused for a recorder of another type, or an attempt of another aircraft */
    public function recording(): NewRecording
    {
        $aircraft = Aircraft::where('mark', $this->string('mark')->value())->firstOrFail();
        $recorder = Recorder::findOrFail($this->integer('recorder'));
        if ($recorder->type_id !== $aircraft->type_id) {
            throw Refused::because(
                "{$recorder->code} is a recorder of another type than {$aircraft->mark}. Nothing was saved.",
            );
        }
        $attempt = $this->input('attempt') === null ? null : TestAttempt::findOrFail($this->integer('attempt'));
        if ($attempt !== null && ($attempt->aircraft_id !== $aircraft->id || $attempt->state !== AttemptState::Begun)) {
            throw Refused::because("That attempt does not go on at {$aircraft->mark}. Nothing was saved.");
        }
        try {
            $begun = Instant::parse($this->string('begun')->value());
        } catch (InputError $e) {
            throw Refused::because("When it began {$e->getMessage()}. Nothing was saved.");
        }

        return new NewRecording(
            $aircraft,
            $recorder,
            $this->string('name')->value(),
            $begun,
            $this->string('text')->value(),
            $attempt,
        );
    }
}
