<?php

declare(strict_types=1);
use App\Crew\Model\Person;

return [
    'defaults' => ['guard' => 'web', 'passwords' => 'people'],
    'guards' => ['web' => ['driver' => 'session', 'provider' => 'people']],
    'providers' => ['people' => ['driver' => 'eloquent', 'model' => Person::class]],
    'passwords' => [],
    'password_timeout' => 10800,
];
