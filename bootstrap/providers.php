<?php

declare(strict_types=1);

use App\Bench\BenchProvider;
use App\Deferrals\DeferralsProvider;
use App\Shared\JorvelProvider;

return [JorvelProvider::class, BenchProvider::class, DeferralsProvider::class];
