<?php

declare(strict_types=1);
use App\Shared\JorvelProvider;

return [JorvelProvider::class];
