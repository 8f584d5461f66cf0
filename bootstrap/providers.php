<?php

declare(strict_types=1);

use App\Bench\BenchProvider;
use App\Shared\JorvelProvider;

return [JorvelProvider::class, BenchProvider::class];
