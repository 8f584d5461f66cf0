<?php

declare(strict_types=1);

use App\Bench\Http\BenchController;
use App\Bench\Http\InstrumentController;
use App\Bench\Http\RecordingController;
use App\Bench\Http\RiggingController;
use App\Bench\Http\WalkController;
use App\Crew\Http\CrewController;
use App\Crew\Http\MomentController;
use App\Crew\Http\PersonController;
use App\Crew\Http\SessionController;
use App\Crew\Http\StillHere;
use App\Deferrals\Http\DeferralController;
use App\Deferrals\Http\ReliabilityController;
use App\Deferrals\Http\ReportController;
use App\Deferrals\Http\SectorController;
use App\Deferrals\Http\WebhookController;
use App\Fleet\Http\CalendarController;
use App\Fleet\Http\ComponentController;
use App\Fleet\Http\FleetController;
use App\Fleet\Http\FlyingController;
use App\Fleet\Http\WhatIfController;
use App\Floor\Http\DamageController;
use App\Floor\Http\ExceedanceController;
use App\Floor\Http\FindingController;
use App\Floor\Http\FloorController;
use App\Floor\Http\FollowUpController;
use App\Floor\Http\LineController;
use App\Floor\Http\RegisterController;
use App\Floor\Http\SayController;
use App\Library\Http\CardController;
use App\Library\Http\FigureController;
use App\Library\Http\FollowController;
use App\Library\Http\LessonController;
use App\Library\Http\LibraryController;
use App\Library\Http\ListedController;
use App\Library\Http\RevisionController;
use App\Library\Http\TreeController;
use App\Release\Http\LineReleaseController;
use App\Release\Http\ReleaseController;
use App\Shared\ComputeController;
use App\Stores\Http\PartController;
use App\Stores\Http\StoresController;
use App\Visits\Http\BaysController;
use App\Visits\Http\BoardController;
use App\Visits\Http\SeasonController;
use App\Visits\Http\VisitController;
use App\Visits\Http\VisitLifeController;
use App\Visits\Http\WindowController;
use Illuminate\Support\Facades\Route;

Route::post('sign-in', [SessionController::class, 'store'])->middleware('throttle:sign-in');

Route::post('instruments/readings', [InstrumentController::class, 'take'])->middleware('throttle:instruments');

Route::middleware(['auth:sanctum', StillHere::class])->group(function (): void {
    Route::get('me', [SessionController::class, 'show']);
    Route::post('me/secrets', [SessionController::class, 'choose'])->middleware('throttle:sign');
    Route::post('sign-out', [SessionController::class, 'destroy']);
    Route::get('since', [MomentController::class, 'since']);
    Route::get('moment', [MomentController::class, 'show']);
    Route::post('notices/{id}/seen', [MomentController::class, 'seen']);
    Route::post('compute/{kind}', [ComputeController::class, 'store'])->middleware('throttle:compute');

    // Fleet
    Route::get('fleet', [FleetController::class, 'index']);
    Route::get('fleet/{mark}', [FleetController::class, 'show']);
    Route::get('fleet/{mark}/history', [FleetController::class, 'history']);
    Route::get('as-of', [FleetController::class, 'asOf']);
    Route::get('as-of.csv', [FleetController::class, 'asOfCsv']);
    Route::get('due', [FleetController::class, 'due']);
    Route::get('due.csv', [FleetController::class, 'dueCsv']);
    Route::get('stagger', [FleetController::class, 'stagger']);
    Route::post('fleet/{mark}/flying', [FlyingController::class, 'enter'])->middleware('once');
    Route::post('flying/{id}/correct', [FlyingController::class, 'correct'])->middleware('once');
    Route::post('sectors/{id}/restore', [FlyingController::class, 'restore'])->middleware('once');
    Route::post('sectors/{id}/cancel', [FlyingController::class, 'cancel'])->middleware('once');
    Route::post('flying-programme', [FlyingController::class, 'programme']);
    Route::get('components', [ComponentController::class, 'stored']);
    Route::post('components/{id}/move', [ComponentController::class, 'move'])->middleware('once');
    Route::get('bottles', [ComponentController::class, 'bottles']);
    Route::post('components/{id}/readings', [ComponentController::class, 'read'])->middleware('once');
    Route::post('readings/{id}/correct', [ComponentController::class, 'correct'])->middleware('once');
    Route::post('what-if', [WhatIfController::class, 'look']);
    Route::post('what-if/apply', [WhatIfController::class, 'apply'])->middleware('once');
    Route::get('calendar-links', [CalendarController::class, 'index']);
    Route::post('calendar-links', [CalendarController::class, 'store'])->middleware('once');
    Route::post('calendar-links/{id}/revoke', [CalendarController::class, 'revoke'])->middleware('once');

    // Visits
    Route::get('visits', [VisitController::class, 'index']);
    Route::get('visits/{id}', [VisitController::class, 'show']);
    Route::post('visits', [VisitController::class, 'store'])->middleware('once');
    Route::get('bays', [BaysController::class, 'bays']);
    Route::post('bays/{id}/slots', [BaysController::class, 'addSlot'])->middleware('once');
    Route::post('bay-slots/{id}/remove', [BaysController::class, 'removeSlot'])->middleware('once');
    Route::get('phases', [BaysController::class, 'phases']);
    Route::get('season', [SeasonController::class, 'show']);
    Route::get('season.csv', [SeasonController::class, 'csv']);
    Route::get('season.ics', [SeasonController::class, 'calendar']);
    Route::get('season.pdf', [SeasonController::class, 'sheet']);
    Route::post('season/judge', [SeasonController::class, 'judge']);
    Route::post('season/mend', [SeasonController::class, 'mend']);
    Route::post('season/propose', [SeasonController::class, 'propose'])->middleware('once');
    Route::get('season/run', [SeasonController::class, 'run']);
    Route::post('season-runs/{id}/cancel', [SeasonController::class, 'cancel']);
    Route::post('season/keep', [SeasonController::class, 'keep'])->middleware('once');
    Route::post('bays/{id}/closures', [SeasonController::class, 'close'])->middleware('once');
    Route::post('bay-closures/{id}/open', [SeasonController::class, 'open'])->middleware('once');
    Route::post('visits/{id}/cancel', [VisitLifeController::class, 'cancel'])->middleware('once');
    Route::post('visits/{id}/edit', [VisitLifeController::class, 'edit'])->middleware('once');
    Route::get('visits/{id}/more', [VisitLifeController::class, 'more']);
    Route::post('visits/{id}/items', [VisitLifeController::class, 'putIn'])->middleware('once');
    Route::post('visits/{id}/take-out', [VisitLifeController::class, 'takeOut'])->middleware('once');
    Route::post('visits/{id}/split', [VisitLifeController::class, 'split'])->middleware('once');
    Route::post('visits/{id}/merge', [VisitLifeController::class, 'merge'])->middleware('once');
    Route::post('visits/{id}/begin', [VisitController::class, 'begin'])->middleware('once');
    Route::get('visits/{id}/board', [BoardController::class, 'show']);
    Route::post('visits/{id}/board/move', [BoardController::class, 'move']);
    Route::get('visits/{id}/cards/{card}/slip', [BoardController::class, 'slip']);
    Route::get('visits/{id}/window', [WindowController::class, 'show']);
    Route::post('visits/{id}/window', [WindowController::class, 'set'])->middleware('once');
    Route::get('visits/{id}/progress', [WindowController::class, 'progress']);
    Route::get('visits/{id}/plan', [BoardController::class, 'run']);
    Route::post('visits/{id}/plan', [BoardController::class, 'search'])->middleware('once');
    Route::post('plan-runs/{id}/cancel', [BoardController::class, 'cancel']);
    Route::get('visits/{id}/plan.csv', [BoardController::class, 'csv']);
    Route::get('visits/{id}/plan.ics', [BoardController::class, 'calendar']);
    Route::post('visits/{id}/cards', [VisitController::class, 'addCard'])->middleware('once');
    Route::post('findings/{id}/card', [VisitController::class, 'fixCard'])->middleware('once');
    Route::get('cards/{id}/candidates', [VisitController::class, 'candidates']);
    Route::post('cards/{id}/assignments', [VisitController::class, 'assign'])->middleware('once');

    // Crew
    Route::get('crew', [CrewController::class, 'index']);
    Route::get('crew/shift', [CrewController::class, 'shift']);
    Route::post('crew/shift/propose', [CrewController::class, 'propose']);
    Route::post('crew/shift', [CrewController::class, 'save'])->middleware('once');
    Route::post('crew/{id}/days', [CrewController::class, 'days'])->middleware('once');
    Route::post('people', [PersonController::class, 'enter'])->middleware('once');
    Route::get('people/{id}', [PersonController::class, 'show']);
    Route::post('people/{id}', [PersonController::class, 'change'])->middleware('once');
    Route::post('people/{id}/qualifications', [PersonController::class, 'qualification'])->middleware('once');
    Route::post('people/{id}/qualifications/{value}/confirm', [PersonController::class, 'confirm'])
        ->middleware(['throttle:sign', 'once']);
    Route::post('people/{id}/code', [PersonController::class, 'code'])->middleware('throttle:sign');
    Route::post('people/{id}/secrets', [PersonController::class, 'secrets'])->middleware(['throttle:sign', 'once']);

    // Floor
    Route::get('floor', [FloorController::class, 'index']);
    Route::get('damage/{mark}', [DamageController::class, 'show']);
    Route::post('cards/{id}/damages', [DamageController::class, 'enter'])->middleware('once');
    Route::post('damages/{id}/looks', [DamageController::class, 'look'])->middleware('once');
    Route::post('damages/{id}/same', [DamageController::class, 'same'])->middleware('once');
    Route::post('damages/{id}/settle', [DamageController::class, 'settle'])->middleware('once');
    Route::get('exceedances', [ExceedanceController::class, 'index']);
    Route::post('exceedances', [ExceedanceController::class, 'enter'])->middleware('once');
    Route::post('exceedances/preview', [ExceedanceController::class, 'preview']);
    Route::post('exceedances/recorder/preview', [ExceedanceController::class, 'look']);
    Route::post('exceedances/recorder', [ExceedanceController::class, 'record'])->middleware('once');
    Route::post('exceedances/{id}/mistake', [ExceedanceController::class, 'mistake'])->middleware('once');
    Route::post('cards/{id}/take', [LineController::class, 'take'])->middleware('once');
    Route::get('line', [LineController::class, 'index']);
    Route::post('line', [LineController::class, 'begin'])->middleware('once');
    Route::post('line/{id}/leave', [LineController::class, 'leave'])->middleware('once');
    Route::get('line/{id}', [LineReleaseController::class, 'show']);
    Route::get('line/{id}/log.pdf', [LineReleaseController::class, 'log']);
    Route::post('line/{id}/good', [LineReleaseController::class, 'sign'])->middleware(['throttle:sign', 'once']);
    Route::get('cards/{id}', [FloorController::class, 'show']);
    Route::post('cards/{id}/steps/{no}', [FloorController::class, 'work'])->middleware('once');
    Route::post('cards/{id}/steps/{no}/points', [FloorController::class, 'points'])->middleware('once');
    Route::post('cards/{id}/steps/{no}/remarks', [SayController::class, 'remark'])->middleware('once');
    Route::post('cards/{id}/steps/{no}/here', [SayController::class, 'here'])->middleware('once');
    Route::post('cards/{id}/steps/{no}/second', [SayController::class, 'second'])->middleware('once');
    Route::post(
        'cards/{id}/steps/{no}/briefed',
        [SayController::class, 'briefed'],
    )->middleware(['throttle:sign', 'once']);
    Route::post('cards/{id}/lessons', [SayController::class, 'learn'])->middleware('once');
    Route::post('cards/{id}/lessons/read', [SayController::class, 'read'])->middleware('once');
    Route::post('cards/{id}/steps/{no}/photos', [SayController::class, 'photo']);
    Route::post('cards/{id}/waits', [SayController::class, 'wait'])->middleware('once');
    Route::post('cards/{id}/waits/{wait}/end', [SayController::class, 'goOn'])->middleware('once');
    Route::get('cards/{id}/steps/{no}/beside', [FloorController::class, 'beside']);
    Route::post('cards/{id}/steps/{no}/foretell', [RiggingController::class, 'foretell']);
    Route::post('cards/{id}/steps/{no}/preview', [FloorController::class, 'preview']);
    Route::post('cards/{id}/sign', [FloorController::class, 'sign'])->middleware(['throttle:sign', 'once']);
    Route::post('cards/{id}/inspect', [FloorController::class, 'inspect'])->middleware(['throttle:sign', 'once']);
    Route::post(
        'cards/{id}/steps/{no}/inspect',
        [FloorController::class, 'inspectStep'],
    )->middleware(['throttle:sign', 'once']);
    Route::post('cards/{id}/hand-over', [FloorController::class, 'handOver'])->middleware('once');
    Route::post('cards/{id}/take-over', [FloorController::class, 'takeOver'])->middleware('once');
    Route::post('cards/{id}/here', [FloorController::class, 'come'])->middleware('once');
    Route::post('cards/{id}/clear', [FloorController::class, 'clear'])->middleware('once');
    Route::post('cards/{id}/loans', [FloorController::class, 'takeOut'])->middleware('once');
    Route::post('cards/{id}/findings', [FindingController::class, 'raise'])->middleware('once');
    Route::get('findings/{id}', [FindingController::class, 'show']);
    Route::post('findings/{id}/spot', [FindingController::class, 'mark'])->middleware('once');
    Route::post('findings/{id}/follows', [FollowUpController::class, 'open'])->middleware('once');
    Route::post('follow-ups/{id}', [FollowUpController::class, 'answer'])->middleware('once');
    Route::post('follow-ups/{id}/mistake', [FollowUpController::class, 'mistake'])->middleware('once');
    Route::post('findings/{id}/photos', [FindingController::class, 'photo']);
    Route::get('photos/{id}', [FindingController::class, 'picture']);
    Route::get('registers', [RegisterController::class, 'index']);
    Route::get('registers/{mark}', [RegisterController::class, 'show']);

    // Bench
    Route::get('bench', [BenchController::class, 'index']);
    Route::get('bench/findings/{id}/walk', [WalkController::class, 'show']);
    Route::post('bench/findings/{id}/walk', [WalkController::class, 'answer'])->middleware('once');
    Route::get('bench/attempts', [BenchController::class, 'past']);
    Route::get('bench/attempts/{id}', [BenchController::class, 'attempt']);
    Route::get('bench/trends', [BenchController::class, 'trends']);
    Route::get('bench/trends/{id}', [BenchController::class, 'trend']);
    Route::post('bench/trends/{id}/follow', [BenchController::class, 'follow'])->middleware('once');
    Route::get('bench/riggings', [RiggingController::class, 'index']);
    Route::get('bench/riggings/{id}', [RiggingController::class, 'show']);
    Route::get('bench/riggings/{id}/rigging.csv', [RiggingController::class, 'csv']);
    Route::get('bench/riggings/{id}/rigging.json', [RiggingController::class, 'json']);
    Route::get('bench/riggings/{id}/rigging.pdf', [RiggingController::class, 'pdf']);
    Route::get('bench/recordings', [RecordingController::class, 'index']);
    Route::post('bench/recordings/look', [RecordingController::class, 'look']);
    Route::post('bench/recordings', [RecordingController::class, 'save'])->middleware('once');
    Route::get('bench/recordings/{id}', [RecordingController::class, 'show']);
    Route::get('bench/recordings/{id}/samples', [RecordingController::class, 'samples']);
    Route::get('bench/recorders/{id}/simulated.csv', [RecordingController::class, 'simulated']);
    Route::post('bench/recorders/{id}', [RecordingController::class, 'map'])->middleware('once');
    Route::get('tools/{code}/shown', [InstrumentController::class, 'shown']);
    Route::post('tools/{code}/token', [InstrumentController::class, 'token']);

    // Deferrals
    Route::get('deferrals', [DeferralController::class, 'index']);
    Route::get('deferrals/{id}', [DeferralController::class, 'show']);
    Route::get('deferrals/{id}/placard.pdf', [DeferralController::class, 'placard']);
    Route::post('deferrals/{id}/take-back', [DeferralController::class, 'takeBack'])->middleware('once');
    Route::post('deferrals/{id}/extend', [DeferralController::class, 'extend'])->middleware(['throttle:sign', 'once']);
    Route::post('deferrals/{id}/ask-extension', [DeferralController::class, 'askExtension'])->middleware('once');
    Route::post('deferrals/{id}/needs', [DeferralController::class, 'need'])->middleware('once');
    Route::post('deferral-needs/{id}', [DeferralController::class, 'changeNeed'])->middleware('once');
    Route::post('deferrals/{id}/plan', [DeferralController::class, 'plan'])->middleware('once');
    Route::post('deferrals/{id}/placard-off', [DeferralController::class, 'placardOff'])->middleware('once');
    Route::post('deferrals/{id}/close', [DeferralController::class, 'close'])->middleware(['throttle:sign', 'once']);
    Route::get('reliability', [ReliabilityController::class, 'index']);
    Route::get('reliability/rows', [ReliabilityController::class, 'rows']);
    Route::get('reliability.csv', [ReliabilityController::class, 'csv']);
    Route::get('reminders', [WebhookController::class, 'index']);
    Route::post('webhooks', [WebhookController::class, 'store'])->middleware('once');
    Route::post('webhooks/{id}/try', [WebhookController::class, 'trial'])->middleware('once');
    Route::post('webhooks/{id}/revoke', [WebhookController::class, 'revoke'])->middleware('once');
    Route::post('webhook-deliveries/{id}/again', [WebhookController::class, 'again'])->middleware('once');
    Route::get('reports', [ReportController::class, 'index']);
    Route::post('reports', [ReportController::class, 'enter'])->middleware('once');
    Route::post('reports/bring', [ReportController::class, 'bring'])->middleware('once');
    Route::get('reports/{id}', [ReportController::class, 'show']);
    Route::post('reports/{id}/chapter', [ReportController::class, 'sort'])->middleware('once');
    Route::post('reports/{id}/finding', [ReportController::class, 'finding'])->middleware('once');
    Route::post('reports/{id}/test', [ReportController::class, 'test'])->middleware('once');
    Route::post('reports/{id}/no-fault', [ReportController::class, 'noFault'])->middleware('once');
    Route::get('sectors', [SectorController::class, 'index']);
    Route::post('sectors/swap/preview', [SectorController::class, 'preview']);
    Route::post('sectors/swap', [SectorController::class, 'send'])->middleware('once');
    Route::get('fleet/{mark}/crew-sheet.pdf', [SectorController::class, 'sheet']);
    Route::get('findings/{id}/options', [DeferralController::class, 'options']);
    Route::post('findings/{id}/defer', [DeferralController::class, 'defer'])->middleware(['throttle:sign', 'once']);

    // Release
    Route::get('release', [ReleaseController::class, 'index']);
    Route::get('release/{id}', [ReleaseController::class, 'show']);
    Route::post('release/{id}', [ReleaseController::class, 'sign'])->middleware(['throttle:sign', 'once']);
    Route::get('release/{id}/certificate.pdf', [ReleaseController::class, 'certificate']);
    Route::get('release/{id}/cards.pdf', [ReleaseController::class, 'cards']);

    // Library
    Route::get('library', [LibraryController::class, 'index']);
    Route::get('library/programmes/{type}', [LibraryController::class, 'programme']);
    Route::get('library/programmes/{type}/file.{form}', [LibraryController::class, 'file'])->where('form', 'json|csv');
    Route::get('library/card-sets/{type}/file.{form}', [CardController::class, 'file'])->where('form', 'json');
    Route::get('library/card-choices/{type}', [CardController::class, 'choices']);
    Route::post('library/card-sets/{type}/preview', [CardController::class, 'preview']);
    Route::post('library/card-sets/{type}/drafts', [CardController::class, 'save'])->middleware('once');
    Route::post('library/card-sets/{type}/bulk', [CardController::class, 'bulk'])->middleware('once');
    Route::get('library/figures/{type}', [FigureController::class, 'index']);
    Route::post('library/figures/{type}', [FigureController::class, 'save'])->middleware('once');
    Route::get('library/listed/{type}', [ListedController::class, 'show']);
    Route::get('library/listed/{type}/file.{form}', [ListedController::class, 'file'])->where('form', 'json|csv');
    Route::get('library/trees', [TreeController::class, 'index']);
    Route::get('library/trees/{id}/file.{form}', [TreeController::class, 'file'])->where('form', 'json');
    Route::post('library/trees/{type}/preview', [TreeController::class, 'preview']);
    Route::post('library/trees/{type}', [TreeController::class, 'propose'])->middleware('once');
    Route::post('library/trees/{id}/decide', [TreeController::class, 'decide'])->middleware('once');
    Route::get('library/follows', [FollowController::class, 'index']);
    Route::get('library/follows/{type}/file.{form}', [FollowController::class, 'file'])->where('form', 'json');
    Route::post('library/follows/{type}/preview', [FollowController::class, 'preview']);
    Route::post('library/follows/{type}', [FollowController::class, 'propose'])->middleware('once');
    Route::post('library/rules/{id}/decide', [FollowController::class, 'decide'])->middleware('once');
    Route::post('library/rules/{id}/withdraw', [FollowController::class, 'withdraw'])->middleware('once');
    Route::post('library/lessons/{id}', [LessonController::class, 'decide'])->middleware('once');
    Route::post('library/drafts/{id}/check', [CardController::class, 'check'])->middleware(['throttle:sign', 'once']);
    Route::post('library/drafts/{id}/force', [CardController::class, 'force'])->middleware(['throttle:sign', 'once']);
    Route::post('library/drafts/{id}/discard', [CardController::class, 'discard'])->middleware('once');
    Route::get('library/card-versions/{type}/{from}/{to}/{code}', [CardController::class, 'compare'])
        ->where('code', '[A-Za-z0-9/-]+');
    Route::get('library/cards/{type}/{code}', [CardController::class, 'show'])->where('code', '[A-Za-z0-9/-]+');
    Route::get('library/manuals/{code}', [RevisionController::class, 'show']);
    Route::post('library/templates/{id}/reread', [RevisionController::class, 'template'])->middleware('once');
    Route::post('library/manuals/{code}/reread', [RevisionController::class, 'many'])->middleware('once');
    Route::post('cards/{id}/renew', [RevisionController::class, 'renew'])->middleware('once');
    Route::post('cards/{id}/reread', [RevisionController::class, 'card'])->middleware('once');
    Route::post('library/manuals/{code}/questions', [RevisionController::class, 'ask'])->middleware('once');
    Route::post('library/questions/{id}/answer', [RevisionController::class, 'answer'])->middleware('once');
    Route::post('library/imports', [LibraryController::class, 'look']);
    Route::post('library/imports/{id}/apply', [LibraryController::class, 'apply'])->middleware('once');

    // Stores
    Route::get('stores', [StoresController::class, 'index']);
    Route::get('tools/{code}', [StoresController::class, 'tool']);
    Route::post('tools', [StoresController::class, 'enter'])->middleware('once');
    Route::post('tools/{code}/state', [StoresController::class, 'state'])->middleware('once');
    Route::post('tools/{code}/checks', [StoresController::class, 'check'])->middleware('once');
    Route::post('recalls/{id}/rechecks', [StoresController::class, 'recheck'])->middleware('once');
    Route::post('loans/{id}/in', [StoresController::class, 'countIn'])->middleware('once');
    Route::post('parts', [PartController::class, 'enter'])->middleware('once');
    Route::get('parts/{number}', [PartController::class, 'show']);
    Route::post('parts/{number}', [PartController::class, 'change'])->middleware('once');
    Route::post('parts/{number}/goods', [PartController::class, 'goods'])->middleware('once');
    Route::post('parts/{number}/orders', [PartController::class, 'order'])->middleware('once');
    Route::post('part-orders/{id}/cancel', [PartController::class, 'cancel'])->middleware('once');
    Route::post('part-batches/{id}/moves', [PartController::class, 'move'])->middleware('once');
});
