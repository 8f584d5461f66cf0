<?php

declare(strict_types=1);

namespace App\Bench;

use App\Bench\Do\RigSheet;
use App\Floor\Do\Work\StepKinds;
use Illuminate\Support\ServiceProvider;

/** What Bench adds to the floor: the step that is a rigging sheet. */
final class BenchProvider extends ServiceProvider
{
    public function register(): void
    {
        $this->app->bind(StepKinds::named('rig'), RigSheet::class);
    }
}
