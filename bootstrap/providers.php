<?php

declare(strict_types=1);

use App\Bench\BenchProvider;
use App\Deferrals\DeferralsProvider;
use App\Shared\JorvelProvider;
use App\Visits\VisitsProvider;

return [JorvelProvider::class, BenchProvider::class, DeferralsProvider::class, VisitsProvider::class];
