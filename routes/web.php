<?php

declare(strict_types=1);

use App\Fleet\Http\CalendarController;
use Illuminate\Support\Facades\Route;

// A calendar program has no session: the address itself is the key, and can be revoked.
Route::get('calendar/{token}.ics', [CalendarController::class, 'read'])
    ->where('token', '[0-9a-f]{40}')
    ->middleware('throttle:60,1')
    ->withoutMiddleware('web');

// The shell that the browser's worker keeps is fetched behind the page's back, also while somebody signs in: with a
// session of its own its cookie would put the old one in place of the new.
Route::view('shell', 'shell')->withoutMiddleware('web');

// One shell page; the rooms are the front end's.
Route::view('{any?}', 'shell')->where('any', '^(?!api/|build/|sanctum/).*$');
