<?php

declare(strict_types=1);

use App\Http\Controllers\AreaController;
use App\Http\Controllers\AttachmentController;
use App\Http\Controllers\BlockController;
use App\Http\Controllers\CaptureController;
use App\Http\Controllers\CloseController;
use App\Http\Controllers\DayListController;
use App\Http\Controllers\FileController;
use App\Http\Controllers\GatherController;
use App\Http\Controllers\HoursController;
use App\Http\Controllers\MeetingController;
use App\Http\Controllers\MessageController;
use App\Http\Controllers\OccurrenceController;
use App\Http\Controllers\OutboxController;
use App\Http\Controllers\PlanController;
use App\Http\Controllers\ProjectController;
use App\Http\Controllers\PulseController;
use App\Http\Controllers\ReserveController;
use App\Http\Controllers\SessionController;
use App\Http\Controllers\SettingsController;
use App\Http\Controllers\ShapeController;
use App\Http\Controllers\SignUpController;
use App\Http\Controllers\SortController;
use App\Http\Controllers\SubtaskController;
use App\Http\Controllers\TaskController;
use App\Http\Controllers\TemplateController;
use App\Http\Controllers\TokenController;
use App\Http\Controllers\TryController;
use App\Http\Controllers\ViewController;
use App\Http\Controllers\WeighController;
use App\Http\Controllers\WorkController;
use Illuminate\Support\Facades\Route;

Route::redirect('/', '/shape');

Route::middleware('guest')->group(function (): void {
    Route::get('/sign-in', [SessionController::class, 'create'])->name('login');
    Route::post('/sign-in', [SessionController::class, 'store'])->middleware('throttle:sign-in');
    Route::get('/sign-up', [SignUpController::class, 'create']);
    Route::post('/sign-up', [SignUpController::class, 'store'])->middleware('throttle:sign-up');
});

Route::middleware('throttle:capture')->group(function (): void {
    Route::get('/capture', [CaptureController::class, 'show']);
    Route::post('/capture', [CaptureController::class, 'store']);
});

Route::middleware(['auth', 'heal'])->group(function (): void {
    Route::post('/sign-out', [SessionController::class, 'destroy']);

    Route::get('/gather', [GatherController::class, 'index']);
    Route::post('/gather', [GatherController::class, 'store']);
    Route::post('/gather/understand', [GatherController::class, 'understand'])->middleware('aside');

    Route::get('/gather/files', [FileController::class, 'index']);
    Route::post('/gather/files', [FileController::class, 'store'])->middleware('throttle:upload');
    Route::get('/gather/files/{preview}', [FileController::class, 'show']);
    Route::patch('/gather/files/{preview}', [FileController::class, 'update']);
    Route::post('/gather/files/{preview}', [FileController::class, 'take']);
    Route::delete('/gather/files/{preview}', [FileController::class, 'destroy']);
    Route::get('/gather/export/{format}', [FileController::class, 'export']);

    Route::get('/gather/mailbox', [MessageController::class, 'index']);
    Route::post('/gather/mailbox', [MessageController::class, 'store'])->middleware('throttle:upload');
    Route::post('/gather/mailbox/fetch', [MessageController::class, 'fetch']);
    Route::get('/messages/{message}', [MessageController::class, 'show']);
    Route::post('/messages/{message}/take', [MessageController::class, 'take']);
    Route::post('/messages/{message}/put-off', [MessageController::class, 'putOff']);
    Route::post('/messages/{message}/state', [MessageController::class, 'state']);

    Route::get('/gather/tokens', [TokenController::class, 'index']);
    Route::post('/gather/tokens', [TokenController::class, 'store']);
    Route::delete('/gather/tokens/{token}', [TokenController::class, 'destroy']);

    Route::post('/tasks/sort', SortController::class);
    Route::post('/tasks/many', [TaskController::class, 'many']);
    Route::post('/tasks/{trashed}/bring-back', [TaskController::class, 'bringBack']);
    Route::get('/tasks/{task}', [TaskController::class, 'edit']);
    Route::patch('/tasks/{task}', [TaskController::class, 'update']);
    Route::delete('/tasks/{task}', [TaskController::class, 'destroy']);
    Route::post('/tasks/{task}/weigh', [TaskController::class, 'weigh']);
    Route::post('/tasks/{task}/place', [BlockController::class, 'place']);
    Route::post('/tasks/{task}/key', [BlockController::class, 'key']);
    Route::post('/tasks/{task}/try', [TryController::class, 'place'])->middleware('aside');

    Route::post('/tasks/{task}/subtasks', [SubtaskController::class, 'store']);
    Route::patch('/subtasks/{subtask}', [SubtaskController::class, 'update']);
    Route::delete('/subtasks/{subtask}', [SubtaskController::class, 'destroy']);
    Route::post('/tasks/{task}/files', [AttachmentController::class, 'store'])->middleware('throttle:upload');
    Route::get('/files/{attachment}', [AttachmentController::class, 'show']);
    Route::delete('/files/{attachment}', [AttachmentController::class, 'destroy']);
    Route::post('/tasks/{task}/links', [AttachmentController::class, 'link']);
    Route::delete('/links/{link}', [AttachmentController::class, 'unlink']);
    Route::post('/tasks/{task}/template', [TemplateController::class, 'store']);
    Route::post('/tasks/{task}/duplicate', [TemplateController::class, 'duplicate']);
    Route::post('/tasks/{task}/repeat', [TemplateController::class, 'repeat']);
    Route::patch('/repeats/{repeat}', [TemplateController::class, 'updateRepeat']);
    Route::get('/templates', [TemplateController::class, 'index']);
    Route::post('/templates/{template}', [TemplateController::class, 'use']);
    Route::delete('/templates/{template}', [TemplateController::class, 'destroy']);

    Route::get('/projects', [ProjectController::class, 'index']);
    Route::post('/projects', [ProjectController::class, 'store']);
    Route::get('/projects/{project}', [ProjectController::class, 'show']);
    Route::patch('/projects/{project}', [ProjectController::class, 'update']);
    Route::delete('/projects/{project}', [ProjectController::class, 'destroy']);
    Route::post('/projects/{project}/order', [ProjectController::class, 'order']);
    Route::post('/projects/{project}/sections', [ProjectController::class, 'addSection']);
    Route::patch('/sections/{section}', [ProjectController::class, 'updateSection']);
    Route::delete('/sections/{section}', [ProjectController::class, 'removeSection']);

    Route::get('/views', [ViewController::class, 'index']);
    Route::post('/views', [ViewController::class, 'store']);
    Route::get('/views/build', [ViewController::class, 'build']);
    Route::get('/views/{view}', [ViewController::class, 'show']);
    Route::patch('/views/{saved}', [ViewController::class, 'update']);
    Route::delete('/views/{saved}', [ViewController::class, 'destroy']);
    Route::get('/search', [ViewController::class, 'search']);

    Route::get('/weigh', [WeighController::class, 'field']);
    Route::get('/weigh/list', [WeighController::class, 'list']);
    Route::post('/weigh/{task}', [WeighController::class, 'answer']);
    Route::post('/weigh/{task}/preview', [WeighController::class, 'preview'])->middleware('aside')->name('weigh.preview');

    Route::get('/close/{date?}', [CloseController::class, 'show'])->where('date', '\d{4}-\d{2}-\d{2}');
    Route::post('/close', [CloseController::class, 'store']);
    Route::post('/close/open', [CloseController::class, 'open']);

    Route::get('/work', [WorkController::class, 'show']);
    Route::post('/work/start/{task}', [WorkController::class, 'start']);
    Route::post('/work/pause', [WorkController::class, 'pause']);
    Route::post('/work/rest', [WorkController::class, 'rest']);
    Route::post('/work/blocks/{block}/more', [WorkController::class, 'more']);
    Route::post('/work/blocks/{block}/blocked', [WorkController::class, 'blocked']);
    Route::post('/work/forgotten', [WorkController::class, 'settle']);
    Route::post('/work/entries', [WorkController::class, 'store']);
    Route::patch('/work/entries/{entry}', [WorkController::class, 'update']);
    Route::delete('/work/entries/{entry}', [WorkController::class, 'destroy']);

    Route::get('/shape/{date}/list', DayListController::class);
    Route::post('/shape/morning', [ShapeController::class, 'morning']);
    Route::get('/shape/{date?}', [ShapeController::class, 'show']);
    Route::post('/plan/change', [PlanController::class, 'change']);
    Route::post('/plan/lay-out', [PlanController::class, 'layOut']);
    Route::post('/plan/pick', [PlanController::class, 'pick']);
    Route::post('/plan/end-day', [PlanController::class, 'end']);
    Route::post('/plan/go-on', [PlanController::class, 'goOn']);
    Route::post('/plan/undo', [PlanController::class, 'undo']);
    Route::post('/plan/seen', [PlanController::class, 'seen']);

    Route::patch('/blocks/{block}', [BlockController::class, 'move']);
    Route::post('/blocks/{block}/try', [TryController::class, 'move'])->middleware('aside');
    Route::post('/blocks/{block}/split', [BlockController::class, 'split']);
    Route::post('/blocks/{block}/join', [BlockController::class, 'join']);
    Route::post('/blocks/{block}/swap', [BlockController::class, 'swap']);
    Route::post('/blocks/{block}/send', [BlockController::class, 'send']);
    Route::post('/blocks/{block}/anchor', [BlockController::class, 'anchor']);
    Route::post('/blocks/{block}/release', [BlockController::class, 'release']);
    Route::post('/blocks/{block}/done', [BlockController::class, 'done']);
    Route::post('/blocks/{block}/part', [BlockController::class, 'partDone']);

    Route::post('/reserves', [ReserveController::class, 'store']);
    Route::patch('/reserves/{reserve}', [ReserveController::class, 'update']);
    Route::delete('/reserves/{reserve}', [ReserveController::class, 'destroy']);
    Route::post('/reserves/{reserve}/tasks', [ReserveController::class, 'put']);

    Route::get('/meetings', [MeetingController::class, 'index']);
    Route::post('/meetings', [MeetingController::class, 'store'])->middleware('throttle:upload');
    Route::patch('/meetings/{meeting}', [MeetingController::class, 'update']);
    Route::get('/meetings/imports/{import}', [MeetingController::class, 'show']);
    Route::get('/occurrences/{occurrence}', [OccurrenceController::class, 'show']);
    Route::post('/occurrences/{occurrence}/note', [OccurrenceController::class, 'note']);
    Route::post('/occurrences/{occurrence}/decided', [OccurrenceController::class, 'decided']);
    Route::post('/occurrences/{occurrence}/task', [MeetingController::class, 'task']);
    Route::post('/meetings/imports/{import}/step', [MeetingController::class, 'step']);

    Route::post('/settings/areas', [AreaController::class, 'store']);
    Route::patch('/settings/areas/{area}', [AreaController::class, 'update']);
    Route::delete('/settings/areas/{area}', [AreaController::class, 'destroy']);
    Route::post('/settings/contexts', [AreaController::class, 'storeContext']);
    Route::patch('/settings/contexts/{context}', [AreaController::class, 'updateContext']);
    Route::delete('/settings/contexts/{context}', [AreaController::class, 'destroyContext']);

    Route::get('/pulse', PulseController::class)->middleware('aside');
    Route::get('/outbox', [OutboxController::class, 'index']);
    Route::get('/outbox/{mail}', [OutboxController::class, 'show']);
    Route::get('/outbox/{mail}/source', [OutboxController::class, 'source']);

    Route::get('/settings', [SettingsController::class, 'edit']);
    Route::put('/settings', [SettingsController::class, 'update']);
    Route::put('/settings/hours/{set}', [HoursController::class, 'update']);
    Route::post('/settings/hours/{set}/dates', [HoursController::class, 'storeException']);
    Route::delete('/settings/hours/{set}/dates/{exception}', [HoursController::class, 'destroyException'])->scopeBindings();
});
