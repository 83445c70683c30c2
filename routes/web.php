<?php

declare(strict_types=1);

use App\Http\Controllers\CandidateController;
use App\Http\Controllers\EditionController;
use App\Http\Controllers\MarkController;
use App\Http\Controllers\MarketRunController;
use App\Http\Controllers\PlanController;
use App\Http\Controllers\RecordController;
use App\Http\Controllers\SignInController;
use Illuminate\Support\Facades\Route;

Route::middleware('guest')->group(function (): void {
    Route::get('sign-in', [SignInController::class, 'show'])->name('login');
    Route::post('sign-in', [SignInController::class, 'store'])->middleware('throttle:sign-in');
});

Route::middleware('auth')->group(function (): void {
    Route::get('/', [SignInController::class, 'home']);
    Route::post('sign-out', [SignInController::class, 'destroy']);

    Route::get('editions', [EditionController::class, 'index']);
    Route::get('editions/{edition:number}', [EditionController::class, 'show']);
    Route::get('editions/{edition:number}/document', [EditionController::class, 'document']);
    Route::get('record', RecordController::class);

    Route::middleware('can:plan')->group(function (): void {
        Route::get('instruments', [CandidateController::class, 'search']);

        Route::get('plan/candidates', [CandidateController::class, 'index']);
        Route::post('plan/candidates', [CandidateController::class, 'store']);
        Route::patch('plan/candidates/{candidate}', [CandidateController::class, 'judge']);
        Route::post('plan/candidates/{candidate}/move', [CandidateController::class, 'move']);
        Route::delete('plan/candidates/{candidate}', [CandidateController::class, 'destroy']);

        Route::get('plan/mark', [MarkController::class, 'first']);
        Route::get('plan/mark/{candidate}', [MarkController::class, 'show']);
        Route::get('plan/mark/{candidate}/workbench', [MarkController::class, 'workbench']);
        Route::post('plan/mark/{candidate}/levels', [MarkController::class, 'markLevel']);
        Route::patch('plan/mark/{candidate}/levels/{level}', [MarkController::class, 'changeLevel']);
        Route::delete('plan/mark/{candidate}/levels/{level}', [MarkController::class, 'deleteLevel']);
        Route::post('plan/mark/{candidate}/use', [MarkController::class, 'usePrice']);
        Route::patch('plan/mark/{candidate}/setup', [MarkController::class, 'changeSetup']);
        Route::delete('plan/mark/{candidate}/setup', [MarkController::class, 'clearSetup']);

        Route::patch('plan/bias', [PlanController::class, 'bias']);
        Route::post('plan/undo', [PlanController::class, 'undo']);
        Route::post('plan/redo', [PlanController::class, 'redo']);
        Route::get('plan/publish', [PlanController::class, 'preview']);
        Route::post('plan/publish', [PlanController::class, 'publish'])->can('publish');
    });

    Route::middleware('can:play-market')->group(function (): void {
        Route::post('market/runs', [MarketRunController::class, 'store']);
        Route::get('market/runs/{run}', [MarketRunController::class, 'show']);
        Route::post('market/runs/{run}/cancel', [MarketRunController::class, 'cancel']);
    });
});
