<?php

declare(strict_types=1);

return [App\Shared\JorvelProvider::class];
