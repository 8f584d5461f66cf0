<?php

declare(strict_types=1);

namespace App\Visits;

use App\Fleet\Do\PlansAgain;
use App\Visits\Do\PlanAgain;
use Illuminate\Support\ServiceProvider;

/** What the room does for others that stand above it. */
final class VisitsProvider extends ServiceProvider
{
    public function register(): void
    {
        $this->app->bind(PlansAgain::class, PlanAgain::class);
    }
}
