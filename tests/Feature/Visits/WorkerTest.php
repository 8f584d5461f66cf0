<?php

declare(strict_types=1);

namespace Tests\Feature\Visits;

use App\Floor\Model\Card;
use App\Shared\Records;
use App\Visits\Model\PlanRun;
use App\Visits\Model\PlanRunState;
use Illuminate\Support\Facades\Artisan;
use Illuminate\Support\Facades\DB;
use Tests\Feature\WorldCase;

/** A planner in a process of its own, killed in the middle of its work. */
final class WorkerTest extends WorldCase
{
    /** @return resource a worker that is looking at jobs of this test's database */
    private function worker()
    {
        $process = proc_open(
            [PHP_BINARY, base_path('artisan'), 'queue:work', '--once', '--sleep=0'],
            [['file', '/dev/null', 'r'], ['file', '/dev/null', 'a'], ['file', '/dev/null', 'a']],
            $pipes,
            base_path(),
            [
                ...getenv(), 'DB_DATABASE' => $this->database, 'APP_ENV' => 'production',
                'APP_KEY' => (string) config('app.key'), 'QUEUE_CONNECTION' => 'database',
            ],
        );
        self::assertIsResource($process);

        return $process;
    }

    public function test_a_worker_that_is_killed_loses_nothing(): void
    {
        $plan = static fn(): string
            => (string) Card::orderBy('id')->get(['id', 'planned_start', 'planned_end', 'on_chain'])->toJson();
        $before = $plan();
        $version = (int) $this->as('ines', 'GET', $this->block('/board'))->json('version');
        $run = (int) $this->as('ines', 'POST', $this->block('/plan'), ['seconds' => 20, 'version' => $version])
            ->assertStatus(202)->json('id');
        $worker = $this->worker();
        for ($i = 0; $i < 300 && (int) PlanRun::whereKey($run)->value('tried') === 0; $i++) {
            usleep(100_000);
        }
        self::assertGreaterThan(0, (int) PlanRun::whereKey($run)->value('tried'), 'it says how far it is');
        posix_kill(proc_get_status($worker)['pid'], SIGKILL);
        proc_close($worker);
        self::assertSame($before, $plan(), 'nothing of the visit was touched');
        self::assertSame(PlanRunState::Running, PlanRun::findOrFail($run)->state);
        self::assertSame(1, DB::table('jobs')->count(), 'the job is still there');

        // As if the ninety seconds had passed in which another worker may not take it.
        DB::table('jobs')->update(['reserved_at' => time() - 120]);
        PlanRun::whereKey($run)->update(['seconds' => 1]);
        Artisan::call('queue:work', ['--stop-when-empty' => true]);
        self::assertSame(PlanRunState::Done, PlanRun::findOrFail($run)->state);
        self::assertSame(0, DB::table('jobs')->count());
        self::assertNull(app(Records::class)->verify()['broken']);
    }
}
