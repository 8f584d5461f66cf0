<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;

/**
 * What has to be known of the whole aircraft: systems being acted on or left live, everybody who ever had a hand in a
 * card, a count of what happens on its floor, the systems of each chapter; and notices to people.
 */
return new class extends Migration {
    public function up(): void
    {
        Schema::create('acting', function (Blueprint $t): void {
            $t->id();
            $t->foreignId('aircraft_id')->constrained('aircraft');
            $t->foreignId('card_id')->constrained('cards');
            $t->foreignId('step_id')->constrained('steps');
            $t->string('how');
            $t->json('systems');
            $t->boolean('running');
            $t->foreignId('begun_by')->constrained('people');
            $t->string('since');
            $t->foreignId('ended_by')->nullable()->constrained('people');
            $t->string('ended_at')->nullable();
            $t->index(['aircraft_id', 'ended_at']);
        });
        Schema::create('card_hands', function (Blueprint $t): void {
            $t->id();
            $t->foreignId('card_id')->constrained('cards');
            $t->foreignId('person_id')->constrained('people');
            $t->string('since');
            $t->unique(['card_id', 'person_id']);
        });
        Schema::create('notices', function (Blueprint $t): void {
            $t->id();
            $t->foreignId('person_id')->constrained('people');
            $t->text('said');
            $t->string('link')->nullable();
            $t->string('at');
            $t->string('seen_at')->nullable();
            $t->index(['person_id', 'seen_at']);
        });
        Schema::table('aircraft', function (Blueprint $t): void {
            $t->integer('floor_count')->default(0);
        });
        Schema::table('aircraft_types', function (Blueprint $t): void {
            $t->json('systems')->default('{}');
        });
        Schema::table('safing_devices', function (Blueprint $t): void {
            $t->string('void_why')->nullable();
        });
        $this->hands();
        $this->running();
    }

    /**
     * From the records, which name whoever did something by their stamp; and from who did what is done, and stood over
     * it.
     */
    private function hands(): void
    {
        $people = DB::table('people')->pluck('id', 'stamp');
        $cards = DB::table('cards')->pluck('id')->flip();
        $hands = [];
        $worked = [
            'step.done', 'step.taken_back', 'step.hold_started', 'step.called_clear', 'step.counted', 'reading.taken',
            'rig.computed', 'rig.as_left',
        ];
        foreach (DB::table('records')->whereIn('what', $worked)->orderBy('id')->lazy(500) as $record) {
            $card = (int) substr((string) $record->subject, 5);
            if (
                preg_match('/\(([^()]+)\)$/', (string) $record->who, $m) === 1
                && isset($people[$m[1]], $cards[$card])
            ) {
                $hands["{$card}:{$people[$m[1]]}"] ??= [
                    'card_id' => $card, 'person_id' => $people[$m[1]], 'since' => $record->at,
                ];
            }
        }
        $done = DB::table('steps')->where('kind', '!=', 'inspection')->whereNotNull('done_by')->orderBy('done_at');
        foreach ($done->get(['card_id', 'done_by', 'done_at']) as $step) {
            $hands["{$step->card_id}:{$step->done_by}"] ??= [
                'card_id' => $step->card_id, 'person_id' => $step->done_by, 'since' => $step->done_at,
            ];
        }
        foreach (DB::table('assignments')->whereNotNull('under_id')->get() as $trainee) {
            if (isset($hands["{$trainee->card_id}:{$trainee->person_id}"])) {
                $hands["{$trainee->card_id}:{$trainee->under_id}"] ??= [
                    'card_id' => $trainee->card_id, 'person_id' => $trainee->under_id,
                    'since' => $hands["{$trainee->card_id}:{$trainee->person_id}"]['since'],
                ];
            }
        }
        foreach (array_chunk(array_values($hands), 200) as $rows) {
            DB::table('card_hands')->insert($rows);
        }
    }

    /** Holds and tests that were under way when this came. */
    private function running(): void
    {
        $begun = DB::table('steps')
            ->join('cards', 'cards.id', '=', 'steps.card_id')
            ->where('steps.state', 'open')
            ->whereNotNull('steps.started_at')
            ->get(['steps.id', 'steps.card_id', 'cards.aircraft_id', 'steps.spec', 'steps.started_at']);
        foreach ($begun as $step) {
            $acts = json_decode((string) $step->spec, true)['acts'] ?? null;
            $by = DB::table('card_hands')->where('card_id', $step->card_id)->value('person_id');
            if ($acts !== null && $by !== null) {
                DB::table('acting')->insert([
                    'aircraft_id' => $step->aircraft_id, 'card_id' => $step->card_id, 'step_id' => $step->id,
                    'how' => $acts['how'],
                    'systems' => json_encode($acts['systems'], JSON_THROW_ON_ERROR), 'running' => true,
                    'begun_by' => $by, 'since' => $step->started_at,
                ]);
            }
        }
    }
};
