<?php

declare(strict_types=1);

use App\Http\Controllers\AccountController;
use App\Http\Controllers\CandidateController;
use App\Http\Controllers\DataController;
use App\Http\Controllers\DraftController;
use App\Http\Controllers\EditionController;
use App\Http\Controllers\EditionFileController;
use App\Http\Controllers\FeedController;
use App\Http\Controllers\ImportController;
use App\Http\Controllers\InstrumentController;
use App\Http\Controllers\LevelController;
use App\Http\Controllers\LevelHistoryController;
use App\Http\Controllers\MarkController;
use App\Http\Controllers\MarketController;
use App\Http\Controllers\MarketRunController;
use App\Http\Controllers\PasswordController;
use App\Http\Controllers\PlanController;
use App\Http\Controllers\PlanTextController;
use App\Http\Controllers\ReaderController;
use App\Http\Controllers\RecordController;
use App\Http\Controllers\RehearsalController;
use App\Http\Controllers\RequestController;
use App\Http\Controllers\ReviewController;
use App\Http\Controllers\ScanController;
use App\Http\Controllers\SettingsController;
use App\Http\Controllers\SetupController;
use App\Http\Controllers\SetupKindController;
use App\Http\Controllers\SignInController;
use App\Http\Controllers\StandInController;
use App\Http\Controllers\SubscriberController;
use App\Http\Controllers\UnsubscribeController;
use Illuminate\Support\Facades\Route;

Route::middleware('guest')->group(function (): void {
    Route::get('sign-in', [SignInController::class, 'show'])->name('login');
    Route::post('sign-in', [SignInController::class, 'store'])->middleware('throttle:sign-in');
    Route::get('password', [PasswordController::class, 'forgotten']);
    Route::post('password', [PasswordController::class, 'send'])->middleware('throttle:6,1');
    Route::get('password/{token}', [PasswordController::class, 'show']);
    Route::post('password/{token}', [PasswordController::class, 'store'])->middleware('throttle:12,1');
    Route::get('invitations/{token}', [PasswordController::class, 'show']);
    Route::post('invitations/{token}', [PasswordController::class, 'store'])->middleware('throttle:12,1');
});

Route::middleware('throttle:60,1')->prefix('feeds/{token}')->group(function (): void {
    Route::get('editions.atom', [FeedController::class, 'editions']);
    Route::get('dates.ics', [FeedController::class, 'dates']);
});

Route::get('unsubscribe/{user}', [UnsubscribeController::class, 'show'])->name('unsubscribe')->middleware('signed');
Route::post('unsubscribe/{user}', [UnsubscribeController::class, 'store'])->middleware('signed');

// the stand-ins for a mail server and for the address of a webhook
Route::get('mailbox', [StandInController::class, 'mailbox']);
Route::get('mailbox/{mail}', [StandInController::class, 'mail']);
Route::get('sink', [StandInController::class, 'sink']);

// read by everyone, as their tier reads it; visitors have no account
Route::get('/', [SignInController::class, 'home']);
Route::get('editions', [EditionController::class, 'index']);
Route::get('editions/{edition:number}', [EditionController::class, 'show']);
Route::get('editions/{edition:number}/document', [EditionFileController::class, 'document']);
Route::get('editions/{edition:number}/verify', [EditionController::class, 'verify']);
Route::get('editions/{edition:number}/evidence', [EditionFileController::class, 'evidence']);
Route::get('editions/{edition:number}/bars', [EditionFileController::class, 'bars']);
Route::get('editions/{edition:number}/markdown', [EditionFileController::class, 'markdown']);
Route::get('editions/{edition:number}/images/{hash}', [PlanTextController::class, 'published']);
Route::get('editions/{edition:number}/pdf', [EditionFileController::class, 'pdf'])->middleware('throttle:30,1');
Route::get('editions/{edition:number}/setups', [EditionFileController::class, 'setups']);
Route::get('record', RecordController::class);

Route::middleware('auth')->group(function (): void {
    Route::post('sign-out', [SignInController::class, 'destroy']);

    Route::get('settings', [SettingsController::class, 'show']);
    Route::patch('settings/deliveries', [SettingsController::class, 'deliveries']);
    Route::patch('settings/password', [SettingsController::class, 'password']);
    Route::post('settings/sign-out-elsewhere', [SettingsController::class, 'signOutElsewhere']);
    Route::delete('settings', [SettingsController::class, 'leave']);
    Route::patch('settings/account', AccountController::class);
    Route::post('editions/{edition:number}/setups/{key}/follow', [ReaderController::class, 'follow']);
    Route::post('seen', [ReaderController::class, 'seen']);
    Route::post('requests', [ReaderController::class, 'ask']);
    Route::delete('requests/{asked}', [ReaderController::class, 'takeBack']);
    Route::post('settings/feeds', [FeedController::class, 'change']);

    Route::middleware('can:plan')->group(function (): void {
        Route::get('instruments', [CandidateController::class, 'search']);
        Route::get('instruments/{instrument:symbol}', [InstrumentController::class, 'show']);
        Route::get('instruments/{instrument:symbol}/bars', [InstrumentController::class, 'export']);

        Route::get('plan/review', [ReviewController::class, 'index']);
        Route::get('plan/review/{published}', [ReviewController::class, 'chart']);
        Route::patch('plan/review/{published}', [ReviewController::class, 'judge']);
        Route::post('plan/review/{published}/carry', [ReviewController::class, 'carry']);
        Route::post('plan/review/{published}/let-go', [ReviewController::class, 'letGo']);
        Route::post('plan/review/{published}/updates', [ReviewController::class, 'update'])->can('publish');

        Route::get('plan/market', [MarketController::class, 'show']);
        Route::patch('plan/market/settings', [MarketController::class, 'settings']);
        Route::patch('plan/market/events/{event}', [MarketController::class, 'weigh']);
        Route::get('levels', LevelHistoryController::class);

        Route::patch('settings/limits', [MarkController::class, 'limits']);
        Route::patch('settings/chart', [MarkController::class, 'settings']);

        Route::get('plan/candidates', [CandidateController::class, 'index']);
        Route::post('plan/candidates', [CandidateController::class, 'store']);
        Route::get('plan/scan', ScanController::class);
        Route::post('plan/candidates/order', [CandidateController::class, 'order']);
        Route::patch('plan/candidates/{candidate}', [CandidateController::class, 'judge']);
        Route::get('plan/candidates/{candidate}/beside', [CandidateController::class, 'beside']);
        Route::patch('plan/candidates/{candidate}/side', [CandidateController::class, 'side']);
        Route::patch('plan/candidates/{candidate}/source', [CandidateController::class, 'source']);
        Route::post('plan/candidates/{candidate}/move', [CandidateController::class, 'move']);
        Route::delete('plan/candidates/{candidate}', [CandidateController::class, 'destroy']);

        Route::post('plan/requests/{asked}/take', [RequestController::class, 'take']);
        Route::post('plan/requests/{asked}/decline', [RequestController::class, 'decline']);

        Route::get('plan/mark', [MarkController::class, 'first']);
        Route::get('plan/mark/{candidate}', [MarkController::class, 'show']);
        Route::get('plan/mark/{candidate}/workbench', [MarkController::class, 'workbench']);
        Route::patch('plan/mark/{candidate}/view', [MarkController::class, 'view']);
        Route::patch('plan/mark/{candidate}/note', [MarkController::class, 'note']);
        Route::get('plan/mark/{candidate}/cross-check', [LevelController::class, 'evidence']);
        Route::post('plan/mark/{candidate}/adopt', [LevelController::class, 'adopt']);
        Route::post('plan/mark/{candidate}/levels', [LevelController::class, 'mark']);
        Route::get('plan/mark/{candidate}/levels/{level}', [LevelController::class, 'show']);
        Route::patch('plan/mark/{candidate}/levels/{level}', [LevelController::class, 'change']);
        Route::post('plan/mark/{candidate}/levels/{level}/retire', [LevelController::class, 'retire']);
        Route::post('plan/mark/{candidate}/levels/{level}/restore', [LevelController::class, 'restore']);
        Route::delete('plan/mark/{candidate}/levels/{level}', [LevelController::class, 'delete']);
        Route::post('plan/mark/{candidate}/use', [SetupController::class, 'usePrice']);
        Route::patch('plan/mark/{candidate}/setup', [SetupController::class, 'change']);
        Route::delete('plan/mark/{candidate}/setup', [SetupController::class, 'clear']);
        Route::patch('plan/mark/{candidate}/option', [SetupController::class, 'option']);
        Route::post('plan/mark/{candidate}/variants', [SetupController::class, 'add']);
        Route::patch('plan/mark/{candidate}/variants', [SetupController::class, 'tie']);

        Route::post('plan/mark/{candidate}/kinds', [SetupKindController::class, 'store']);
        Route::patch('plan/mark/{candidate}/kinds/{kind}', [SetupKindController::class, 'update']);
        Route::delete('plan/mark/{candidate}/kinds/{kind}', [SetupKindController::class, 'destroy']);
        Route::post('plan/mark/{candidate}/kinds/{kind}/apply', [SetupKindController::class, 'apply']);
        Route::patch('plan/mark/{candidate}/checklist', [SetupKindController::class, 'tick']);

        Route::get('plan/mark/{candidate}/rehearsals', [RehearsalController::class, 'desk']);
        Route::post('plan/mark/{candidate}/rehearsals', [RehearsalController::class, 'start']);
        Route::get('plan/mark/{candidate}/rehearsals/{rehearsal}', [RehearsalController::class, 'show']);
        Route::post('plan/mark/{candidate}/rehearsals/{rehearsal}/cancel', [RehearsalController::class, 'cancel']);
        Route::get('plan/mark/{candidate}/rehearsals/{rehearsal}/cases/{number}', [RehearsalController::class, 'case'])->whereNumber('number');

        Route::post('plan/drafts', [DraftController::class, 'begin']);
        Route::post('plan/drafts/{plan}', [DraftController::class, 'choose']);
        Route::delete('plan/drafts/{plan}', [DraftController::class, 'discard']);
        Route::patch('plan/session', [DraftController::class, 'session']);
        Route::post('plan/parts', [PlanTextController::class, 'add']);
        Route::patch('plan/parts/{part}', [PlanTextController::class, 'write']);
        Route::post('plan/parts/{part}/move', [PlanTextController::class, 'move']);
        Route::delete('plan/parts/{part}', [PlanTextController::class, 'remove']);
        Route::get('plan/references', [PlanTextController::class, 'references']);
        Route::post('plan/images', [PlanTextController::class, 'attach']);
        Route::get('plan/images/{hash}', [PlanTextController::class, 'image']);
        Route::patch('settings/parts', [PlanTextController::class, 'settings']);
        Route::patch('plan/bias', [PlanController::class, 'bias']);
        Route::post('plan/undo', [PlanController::class, 'undo']);
        Route::post('plan/redo', [PlanController::class, 'redo']);
        Route::get('plan/publish', [PlanController::class, 'preview']);
        Route::post('plan/publish', [PlanController::class, 'publish'])->can('publish');
    });

    Route::middleware('can:keep-subscribers')->prefix('subscribers')->group(function (): void {
        Route::get('/', [SubscriberController::class, 'index']);
        Route::post('tiers', [SubscriberController::class, 'addTier']);
        Route::patch('tiers/{tier}', [SubscriberController::class, 'changeTier']);
        Route::delete('tiers/{tier}', [SubscriberController::class, 'removeTier']);
        Route::post('/', [SubscriberController::class, 'invite']);
        Route::get('roster', [SubscriberController::class, 'export']);
        Route::post('roster', [SubscriberController::class, 'import']);
        Route::post('deliveries/{delivery}', [SubscriberController::class, 'retry']);
        Route::patch('{user}', [SubscriberController::class, 'change']);
        Route::delete('{user}', [SubscriberController::class, 'remove']);
    });

    Route::middleware('can:keep-data')->prefix('data')->group(function (): void {
        Route::get('/', [DataController::class, 'show']);
        Route::post('folder', [DataController::class, 'takeIn']);
        Route::get('export/{what}', [DataController::class, 'export']);
        Route::post('imports', [ImportController::class, 'store']);
        Route::get('imports/{import}', [ImportController::class, 'show']);
        Route::get('imports/{import}/progress', [ImportController::class, 'progress']);
        Route::patch('imports/{import}', [ImportController::class, 'map']);
        Route::post('imports/{import}/start', [ImportController::class, 'start']);
        Route::post('imports/{import}/cancel', [ImportController::class, 'cancel']);
    });

    Route::middleware('can:play-market')->group(function (): void {
        Route::post('market/runs', [MarketRunController::class, 'store']);
        Route::get('market/runs/{run}', [MarketRunController::class, 'show']);
        Route::post('market/runs/{run}/cancel', [MarketRunController::class, 'cancel']);
    });
});
