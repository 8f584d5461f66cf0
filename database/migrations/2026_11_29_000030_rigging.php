<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;

/** What was really turned in a run of a rigging, what held while it was read, and what a rigging taught. */
return new class extends Migration {
    public function up(): void
    {
        Schema::table('rig_runs', static function (Blueprint $t): void {
            $t->json('turned')->nullable();
            $t->unsignedInteger('ground')->default(1);
            $t->json('prior')->nullable();
            $t->json('held')->nullable();
            $t->string('read_at')->nullable();
        });
        foreach (DB::table('rig_runs')->orderBy('id')->get() as $run) {
            $solution = json_decode((string) $run->solution, true, 32, JSON_THROW_ON_ERROR);
            $moves = [];
            foreach ($solution['moves'] ?? [] as $move) {
                // What was to be turned was taken for what was turned; `ccw`, `shorten` and `lower` went down.
                $down = in_array($move['direction'], ['ccw', 'shorten', 'lower'], true);
                $moves[$move['adjuster']] = $down ? -$move['amount'] : $move['amount'];
            }
            DB::table('rig_runs')->where('id', $run->id)->update([
                'ground' => $run->no,
                'turned' => $run->as_left === null ? null : json_encode((object) $moves),
                'solution' => json_encode([
                    ...$solution,
                    'verdict' => match (true) {
                        $solution['moves'] !== [] => 'turn', $solution['within'] => 'within', default => 'out_of_reach',
                    },
                    'predicted' => array_map(
                        static fn(float|int $v): array => ['mean' => $v, 'sd' => 0],
                        $solution['predicted'],
                    ),
                    'chance' => (object) [], 'p_within' => null, 'doubt' => [], 'at_stop' => [], 'now' => (object) [],
                    'learned' => (object) [],
                ]),
            ]);
        }
        Schema::create('rig_lessons', static function (Blueprint $t): void {
            $t->id();
            $t->foreignId('step_id')->constrained('steps');
            $t->foreignId('aircraft_id')->constrained('aircraft');
            $t->string('model');
            $t->unsignedInteger('runs');
            $t->json('effects');
            $t->string('at');
            $t->boolean('stands')->default(true);
            $t->index('step_id');
            $t->index(['model', 'aircraft_id']);
            $t->index('aircraft_id');
        });
    }

    public function down(): void
    {
        Schema::drop('rig_lessons');
        Schema::table('rig_runs', static fn(Blueprint $t) => $t->dropColumn(
            ['turned', 'ground', 'prior', 'held', 'read_at'],
        ));
    }
};
