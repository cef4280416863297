<?php

declare(strict_types=1);

use App\Http\Controllers\BlockController;
use App\Http\Controllers\GatherController;
use App\Http\Controllers\HoursController;
use App\Http\Controllers\MeetingController;
use App\Http\Controllers\PlanController;
use App\Http\Controllers\SessionController;
use App\Http\Controllers\SettingsController;
use App\Http\Controllers\ShapeController;
use App\Http\Controllers\SignUpController;
use App\Http\Controllers\TaskController;
use App\Http\Controllers\WeighController;
use Illuminate\Support\Facades\Route;

Route::redirect('/', '/shape');

Route::middleware('guest')->group(function (): void {
    Route::get('/sign-in', [SessionController::class, 'create'])->name('login');
    Route::post('/sign-in', [SessionController::class, 'store'])->middleware('throttle:sign-in');
    Route::get('/sign-up', [SignUpController::class, 'create']);
    Route::post('/sign-up', [SignUpController::class, 'store'])->middleware('throttle:sign-up');
});

Route::middleware(['auth', 'heal'])->group(function (): void {
    Route::post('/sign-out', [SessionController::class, 'destroy']);

    Route::get('/gather', [GatherController::class, 'index']);
    Route::post('/gather', [GatherController::class, 'store']);
    Route::post('/gather/understand', [GatherController::class, 'understand']);

    Route::get('/tasks/{task}', [TaskController::class, 'edit']);
    Route::patch('/tasks/{task}', [TaskController::class, 'update']);
    Route::delete('/tasks/{task}', [TaskController::class, 'destroy']);
    Route::post('/tasks/{task}/weigh', [TaskController::class, 'weigh']);
    Route::post('/tasks/{task}/place', [BlockController::class, 'place']);

    Route::get('/weigh', WeighController::class);

    Route::get('/shape/{date?}', ShapeController::class);
    Route::post('/plan/lay-out', [PlanController::class, 'layOut']);
    Route::post('/plan/undo', [PlanController::class, 'undo']);
    Route::post('/plan/seen', [PlanController::class, 'seen']);

    Route::patch('/blocks/{block}', [BlockController::class, 'move']);
    Route::post('/blocks/{block}/anchor', [BlockController::class, 'anchor']);
    Route::post('/blocks/{block}/release', [BlockController::class, 'release']);
    Route::post('/blocks/{block}/done', [BlockController::class, 'done']);
    Route::post('/blocks/{block}/part', [BlockController::class, 'partDone']);

    Route::get('/meetings', [MeetingController::class, 'index']);
    Route::post('/meetings', [MeetingController::class, 'store'])->middleware('throttle:upload');
    Route::patch('/meetings/{meeting}', [MeetingController::class, 'update']);
    Route::get('/meetings/imports/{import}', [MeetingController::class, 'show']);
    Route::post('/meetings/imports/{import}/step', [MeetingController::class, 'step']);

    Route::get('/settings', [SettingsController::class, 'edit']);
    Route::put('/settings', [SettingsController::class, 'update']);
    Route::put('/settings/hours/{set}', [HoursController::class, 'update']);
    Route::post('/settings/hours/{set}/dates', [HoursController::class, 'storeException']);
    Route::delete('/settings/hours/{set}/dates/{exception}', [HoursController::class, 'destroyException'])->scopeBindings();
});
