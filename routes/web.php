<?php

declare(strict_types=1);

use Illuminate\Support\Facades\Route;
use Rheacid\Http\Controllers\BatchController;
use Rheacid\Http\Controllers\BufferCheckController;
use Rheacid\Http\Controllers\CalibrateController;
use Rheacid\Http\Controllers\CalibrationController;
use Rheacid\Http\Controllers\CalibrationRunController;
use Rheacid\Http\Controllers\CorrectionController;
use Rheacid\Http\Controllers\FindController;
use Rheacid\Http\Controllers\HandsController;
use Rheacid\Http\Controllers\LogController;
use Rheacid\Http\Controllers\MeasureController;
use Rheacid\Http\Controllers\ReadingController;
use Rheacid\Http\Controllers\ReadingDraftController;
use Rheacid\Http\Controllers\ShelfController;
use Rheacid\Http\Controllers\SignInController;
use Rheacid\Http\Controllers\TodayController;
use Rheacid\Http\Controllers\UpController;
use Rheacid\Http\Middleware\SignsOutIdle;
use Rheacid\Http\Middleware\Writes;

Route::pattern('person', '[0-9]{1,18}');
Route::pattern('pair', '[0-9]{1,18}');
Route::pattern('run', '[0-9]{1,18}');
Route::pattern('calibration', '[0-9]{1,18}');
Route::pattern('batch', '[0-9]{1,18}');
Route::pattern('draft', '[0-9]{1,18}');
Route::pattern('reading', '[0-9]{1,18}');
Route::pattern('lot', '[0-9]{1,18}');
Route::pattern('log', '[0-9]{1,18}');
Route::pattern('thermometer', '[0-9]{1,18}');

Route::get('up', UpController::class)->withoutMiddleware('web')->name('up');

Route::middleware('guest')->group(static function (): void {
    Route::get('sign-in', [SignInController::class, 'create'])->name('sign-in');
    Route::post('sign-in', [SignInController::class, 'store'])->middleware('throttle:sign-in');
});

Route::middleware(['auth', SignsOutIdle::class])->group(static function (): void {
    Route::post('sign-out', [SignInController::class, 'destroy'])->name('sign-out');
    Route::get('hands', [HandsController::class, 'index'])->name('hands');
    Route::get('hands/{person}', [HandsController::class, 'create'])->name('hands.create');
    Route::post('hands/{person}', [HandsController::class, 'store'])->middleware('throttle:hands')->name('hands.store');
    Route::get('/', TodayController::class)->name('today');
    Route::get('find', FindController::class)->name('find');

    Route::get('ready', [ShelfController::class, 'index'])->name('ready');
    Route::get('pairs/{pair}', [ShelfController::class, 'pair'])->name('pairs.show');
    Route::get('lots/{lot}', [ShelfController::class, 'lot'])->name('lots.show');
    Route::get('thermometers/{thermometer}', [ShelfController::class, 'thermometer'])->name('thermometers.show');

    Route::get('calibrate', [CalibrateController::class, 'index'])->name('calibrate');
    Route::get('calibrate/{pair}', [CalibrateController::class, 'create'])->name('runs.create');
    Route::get('runs/{run}', [CalibrationRunController::class, 'show'])->name('runs.show');
    Route::get('runs/{run}/live', [CalibrationRunController::class, 'live'])->name('runs.live');
    Route::get('pairs/{pair}/check', [BufferCheckController::class, 'show'])->name('checks.show');
    Route::get('pairs/{pair}/check/live', [BufferCheckController::class, 'live'])->name('checks.live');
    Route::get('calibrations/{calibration}', CalibrationController::class)->name('calibrations.show');

    Route::get('logs/{log}', [LogController::class, 'show'])->name('logs.show');
    Route::get('pairs/{pair}/sample-log', [LogController::class, 'sample'])->name('logs.sample');

    Route::get('measure', [MeasureController::class, 'index'])->name('measure');
    Route::get('measure/{batch}', [MeasureController::class, 'create'])->name('drafts.create');
    Route::get('drafts/{draft}', [ReadingDraftController::class, 'show'])->name('drafts.show');
    Route::get('drafts/{draft}/live', [ReadingDraftController::class, 'live'])->name('drafts.live');

    Route::get('batches', [BatchController::class, 'index'])->name('batches');
    Route::get('batches/{batch}', [BatchController::class, 'show'])->name('batches.show');
    Route::get('readings/{reading}', [ReadingController::class, 'show'])->name('readings.show');
    Route::get('readings/{reading}/correction', [CorrectionController::class, 'create'])->name('corrections.create');

    Route::middleware(Writes::class)->group(static function (): void {
        Route::post('calibrate/{pair}/runs', [CalibrateController::class, 'store'])->name('runs.store');
        Route::post('runs/{run}/immersions', [CalibrationRunController::class, 'immerse'])->name('runs.immerse');
        Route::post('runs/{run}/points', [CalibrationRunController::class, 'accept'])->name('runs.accept');
        Route::post('runs/{run}/leave', [CalibrationRunController::class, 'leave'])->name('runs.leave');
        Route::post('runs/{run}/take-over', [CalibrationRunController::class, 'takeOver'])->name('runs.take-over');

        Route::post('pairs/{pair}/log', [LogController::class, 'forPair'])->name('logs.pair');
        Route::post('drafts/{draft}/log', [LogController::class, 'forDraft'])->name('logs.draft');
        Route::post('logs/{log}/calibration', [LogController::class, 'calibrate'])->name('logs.calibrate');
        Route::post('logs/{log}/portions', [LogController::class, 'measure'])->name('logs.measure');
        Route::post('pairs/{pair}/check', [BufferCheckController::class, 'store'])->name('checks.store');
        Route::post('pairs/{pair}/check/immersions', [BufferCheckController::class, 'immerse'])->name('checks.immerse');

        Route::post('measure/{batch}/drafts', [MeasureController::class, 'store'])->name('drafts.store');
        Route::post('drafts/{draft}/immersions', [ReadingDraftController::class, 'immerse'])->name('drafts.immerse');
        Route::post('drafts/{draft}/replicates', [ReadingDraftController::class, 'accept'])->name('drafts.accept');
        Route::post('drafts/{draft}/reading', [ReadingController::class, 'store'])->name('readings.store');
        Route::post('drafts/{draft}/leave', [ReadingDraftController::class, 'leave'])->name('drafts.leave');
        Route::post('drafts/{draft}/take-over', [ReadingDraftController::class, 'takeOver'])->name('drafts.take-over');
        Route::post('readings/{reading}/correction', [CorrectionController::class, 'store'])->name('corrections.store');
    });
});
