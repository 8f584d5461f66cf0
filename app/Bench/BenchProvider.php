<?php

declare(strict_types=1);

namespace App\Bench;

use App\Bench\Do\FollowTests;
use App\Bench\Do\RigSheet;
use App\Bench\Do\Work\LeakOverTime;
use App\Bench\Do\Work\ReadPrecharge;
use App\Bench\Do\Work\ReadSheet;
use App\Bench\Do\Work\RecordReference;
use App\Bench\Do\Work\RunSelfTest;
use App\Bench\Do\Work\SeeIndication;
use App\Bench\Do\Work\SeeSequence;
use App\Bench\Do\Work\Stabilise;
use App\Bench\Do\Work\WatchTransition;
use App\Bench\Show\FollowedTrends;
use App\Fleet\Show\DueTrends;
use App\Floor\CardClosed;
use App\Floor\Do\Work\StepKinds;
use App\Floor\TestFailed;
use App\Floor\TestPassed;
use Illuminate\Support\Facades\Event;
use Illuminate\Support\ServiceProvider;

/** What Bench adds to the floor: rigging and reading sheets, the steps of tests; and to the due list: its trends. */
final class BenchProvider extends ServiceProvider
{
    public function register(): void
    {
        $this->app->bind(DueTrends::class, FollowedTrends::class);
        foreach ([
            'rig' => RigSheet::class, 'sheet' => ReadSheet::class, 'stabilise' => Stabilise::class,
            'reference' => RecordReference::class, 'transition' => WatchTransition::class,
            'sequence' => SeeSequence::class, 'indication' => SeeIndication::class,
            'precharge' => ReadPrecharge::class, 'leak' => LeakOverTime::class, 'selftest' => RunSelfTest::class,
        ] as $kind => $class) {
            $this->app->bind(StepKinds::named($kind), $class);
        }
    }

    public function boot(): void
    {
        Event::listen(TestFailed::class, [FollowTests::class, 'failed']);
        Event::listen(TestPassed::class, [FollowTests::class, 'passed']);
        Event::listen(CardClosed::class, [FollowTests::class, 'closed']);
    }
}
