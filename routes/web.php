<?php

declare(strict_types=1);

use Illuminate\Support\Facades\Route;

// One shell page; the rooms are the front end's.
Route::view('{any?}', 'shell')->where('any', '^(?!api/|build/|sanctum/).*$');
