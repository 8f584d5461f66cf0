<?php

declare(strict_types=1);

use App\Bench\BenchController;
use App\Crew\CrewController;
use App\Crew\SessionController;
use App\Deferrals\DeferralController;
use App\Fleet\FleetController;
use App\Floor\FloorController;
use App\Library\LibraryController;
use App\Release\ReleaseController;
use App\Shared\ComputeController;
use App\Shared\MomentController;
use App\Stores\StoresController;
use App\Visits\VisitController;
use Illuminate\Support\Facades\Route;

Route::post('sign-in', [SessionController::class, 'store'])->middleware('throttle:sign-in');

Route::middleware('auth:sanctum')->group(function (): void {
    Route::get('me', [SessionController::class, 'show']);
    Route::post('sign-out', [SessionController::class, 'destroy']);
    Route::get('moment', [MomentController::class, 'show']);
    Route::post('compute/{kind}', [ComputeController::class, 'store']);

    // Fleet
    Route::get('fleet', [FleetController::class, 'index']);
    Route::get('fleet/{mark}', [FleetController::class, 'show']);

    // Visits
    Route::get('visits', [VisitController::class, 'index']);
    Route::get('visits/{id}', [VisitController::class, 'show']);
    Route::post('visits', [VisitController::class, 'store'])->middleware('once');
    Route::get('cards/{id}/candidates', [VisitController::class, 'candidates']);
    Route::post('cards/{id}/assignments', [VisitController::class, 'assign'])->middleware('once');

    // Crew
    Route::get('crew', [CrewController::class, 'index']);

    // Floor
    Route::get('floor', [FloorController::class, 'index']);
    Route::get('cards/{id}', [FloorController::class, 'show']);
    Route::post('cards/{id}/steps/{no}', [FloorController::class, 'work'])->middleware('once');
    Route::post('cards/{id}/steps/{no}/preview', [FloorController::class, 'preview']);
    Route::post('cards/{id}/sign', [FloorController::class, 'sign'])->middleware(['throttle:sign', 'once']);
    Route::post('cards/{id}/inspect', [FloorController::class, 'inspect'])->middleware(['throttle:sign', 'once']);
    Route::post('cards/{id}/findings', [FloorController::class, 'raise'])->middleware('once');
    Route::post('findings/{id}/fixed', [FloorController::class, 'fixed'])->middleware(['throttle:sign', 'once']);

    // Bench
    Route::get('bench', [BenchController::class, 'index']);

    // Deferrals
    Route::get('deferrals', [DeferralController::class, 'index']);
    Route::post('findings/{id}/defer', [DeferralController::class, 'defer'])->middleware(['throttle:sign', 'once']);

    // Release
    Route::get('release', [ReleaseController::class, 'index']);
    Route::get('release/{id}', [ReleaseController::class, 'show']);
    Route::post('release/{id}', [ReleaseController::class, 'sign'])->middleware(['throttle:sign', 'once']);
    Route::get('release/{id}/certificate.pdf', [ReleaseController::class, 'certificate']);
    Route::get('release/{id}/cards.pdf', [ReleaseController::class, 'cards']);

    // Library
    Route::get('library', [LibraryController::class, 'index']);
    Route::post('library/imports', [LibraryController::class, 'look']);
    Route::post('library/imports/{id}/apply', [LibraryController::class, 'apply'])->middleware('once');

    // Stores
    Route::get('stores', [StoresController::class, 'index']);
});
