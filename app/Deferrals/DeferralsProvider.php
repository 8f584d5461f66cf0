<?php

declare(strict_types=1);

namespace App\Deferrals;

use App\Deferrals\Do\BeginDeferral;
use App\Deferrals\Do\CloseInSeason;
use App\Deferrals\Do\KeepLineReport;
use App\Deferrals\Show\Closures;
use App\Floor\CardClosed;
use App\Floor\ReportTaken;
use App\Visits\Show\Season\ClosesDeferrals;
use Illuminate\Support\Facades\Event;
use Illuminate\Support\ServiceProvider;

/** What the room hears of the others. */
final class DeferralsProvider extends ServiceProvider
{
    public function register(): void
    {
        // What one reader has read for many deferrals, the others ask.
        $this->app->scoped(Closures::class);
        $this->app->bind(ClosesDeferrals::class, CloseInSeason::class);
    }

    public function boot(): void
    {
        Event::listen(CardClosed::class, BeginDeferral::class);
        Event::listen(ReportTaken::class, KeepLineReport::class);
    }
}
