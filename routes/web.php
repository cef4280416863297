<?php

declare(strict_types=1);

use App\Http\Controllers\AccountController;
use App\Http\Controllers\AreaController;
use App\Http\Controllers\AttachmentController;
use App\Http\Controllers\BlockController;
use App\Http\Controllers\CalendarController;
use App\Http\Controllers\CalendarGroupController;
use App\Http\Controllers\CaptureController;
use App\Http\Controllers\CloseController;
use App\Http\Controllers\CycleController;
use App\Http\Controllers\DayListController;
use App\Http\Controllers\DayTaskController;
use App\Http\Controllers\FileController;
use App\Http\Controllers\FindController;
use App\Http\Controllers\FirstDayController;
use App\Http\Controllers\GatherController;
use App\Http\Controllers\GoalController;
use App\Http\Controllers\HabitController;
use App\Http\Controllers\HorizonController;
use App\Http\Controllers\HoursController;
use App\Http\Controllers\LeaveController;
use App\Http\Controllers\LedgerController;
use App\Http\Controllers\LensController;
use App\Http\Controllers\LostPasswordController;
use App\Http\Controllers\MeetingController;
use App\Http\Controllers\MessageController;
use App\Http\Controllers\OccurrenceController;
use App\Http\Controllers\OutboxController;
use App\Http\Controllers\OwnMeetingController;
use App\Http\Controllers\PlanController;
use App\Http\Controllers\ProjectController;
use App\Http\Controllers\PulseController;
use App\Http\Controllers\ReportController;
use App\Http\Controllers\ReserveController;
use App\Http\Controllers\ReviewController;
use App\Http\Controllers\RoutineController;
use App\Http\Controllers\SecondFactorController;
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
use App\Http\Controllers\TypedDayController;
use App\Http\Controllers\UpController;
use App\Http\Controllers\ViewController;
use App\Http\Controllers\WeekController;
use App\Http\Controllers\WeighController;
use App\Http\Controllers\WhatIfController;
use App\Http\Controllers\WorkController;
use Illuminate\Cookie\Middleware\AddQueuedCookiesToResponse;
use Illuminate\Foundation\Http\Middleware\ValidateCsrfToken;
use Illuminate\Routing\Middleware\SubstituteBindings;
use Illuminate\Session\Middleware\StartSession;
use Illuminate\Support\Facades\Route;
use Illuminate\View\Middleware\ShareErrorsFromSession;

Route::redirect('/', '/shape')->name('home');
Route::get('/here', [SessionController::class, 'here'])->name('here')->middleware('aside');
Route::get('/up', UpController::class)->name('up')->withoutMiddleware('web');

Route::middleware('guest')->group(function (): void {
    Route::get('/sign-in', [SessionController::class, 'create'])->name('login');
    Route::post('/sign-in', [SessionController::class, 'store'])->name('sign-in.store')->middleware('throttle:sign-in');
    Route::get('/sign-up', [SignUpController::class, 'create'])->name('sign-up.create');
    Route::post('/sign-up', [SignUpController::class, 'store'])->name('sign-up.store')->middleware('throttle:sign-up');
    Route::get('/sign-in/code', [SecondFactorController::class, 'ask'])->name('second.ask');
    Route::post('/sign-in/code', [SecondFactorController::class, 'pass'])->name('second.pass')->middleware('throttle:second');
    Route::get('/forgotten', [LostPasswordController::class, 'show'])->name('forgotten');
    Route::post('/forgotten', [LostPasswordController::class, 'send'])->name('forgotten.send')->middleware('throttle:forgotten');
    Route::get('/forgotten/new', [LostPasswordController::class, 'create'])->name('forgotten.new');
    Route::post('/forgotten/new', [LostPasswordController::class, 'store'])->name('forgotten.store')->middleware('throttle:password');
    Route::get('/forgotten/{letter}', [LostPasswordController::class, 'open'])->name('forgotten.open')->middleware('throttle:password');
});
Route::get('/address/{letter}', [LostPasswordController::class, 'address'])->name('address.confirm')->middleware('throttle:password');

Route::post('/capture', [CaptureController::class, 'store'])->name('capture.store')->middleware('throttle:capture');

Route::get('/pulse', PulseController::class)->name('pulse')->middleware('known')
    ->withoutMiddleware([AddQueuedCookiesToResponse::class, StartSession::class, ShareErrorsFromSession::class, ValidateCsrfToken::class, SubstituteBindings::class]);

Route::middleware(['auth', 'still', 'given', 'own'])->group(function (): void {
    Route::get('/account', [AccountController::class, 'show'])->name('account');
    Route::put('/account/idle', [AccountController::class, 'idle'])->name('account.idle');
    Route::delete('/account/sign-ins', [AccountController::class, 'endOthers'])->name('account.sign-ins.end');
    Route::delete('/account/sign-ins/{signIn}', [AccountController::class, 'endOne'])->name('account.sign-in.end');
    Route::post('/account/second/confirm', [SecondFactorController::class, 'confirm'])->name('second.confirm')->middleware('throttle:second');
    Route::get('/account/leaving', [LeaveController::class, 'show'])->name('leave.show');
    Route::post('/account/leaving', [LeaveController::class, 'takeBack'])->name('leave.take-back');
    Route::middleware('throttle:password')->group(function (): void {
        Route::put('/account/password', [AccountController::class, 'password'])->name('account.password');
        Route::put('/account/address', [AccountController::class, 'address'])->name('account.address');
        Route::post('/account/second', [SecondFactorController::class, 'offer'])->name('second.offer');
        Route::post('/account/second/recovery', [SecondFactorController::class, 'renew'])->name('second.renew');
        Route::delete('/account/second', [SecondFactorController::class, 'end'])->name('second.end');
        Route::delete('/account', [LeaveController::class, 'ask'])->name('leave.ask');
    });
});

Route::middleware(['auth', 'still', 'given', 'typed', 'mend', 'once'])->group(function (): void {
    Route::post('/sign-out', [SessionController::class, 'destroy'])->name('sign-out');

    Route::get('/first-day', [FirstDayController::class, 'show'])->name('first.show');
    Route::post('/first-day', [FirstDayController::class, 'step'])->name('first.step');
    Route::post('/sample', [FirstDayController::class, 'sample'])->name('sample.begin')->middleware('throttle:sample');
    Route::post('/sample/end', [FirstDayController::class, 'endSample'])->name('sample.end');

    Route::get('/gather', [GatherController::class, 'index'])->name('gather.index');
    Route::get('/typed-day', TypedDayController::class)->name('typed-day')->middleware('aside');
    Route::get('/capture', [CaptureController::class, 'show'])->name('capture.show');
    Route::post('/capture/page', [CaptureController::class, 'keep'])->name('capture.keep');
    Route::get('/share', [GatherController::class, 'share'])->name('gather.share');
    Route::post('/gather', [GatherController::class, 'store'])->name('gather.store');
    Route::post('/gather/understand', [GatherController::class, 'understand'])->name('gather.understand')->middleware('aside');

    Route::get('/gather/files', [FileController::class, 'index'])->name('files.index');
    Route::post('/gather/files', [FileController::class, 'store'])->name('files.store')->middleware('throttle:upload');
    Route::get('/gather/files/{preview}', [FileController::class, 'show'])->name('files.show');
    Route::patch('/gather/files/{preview}', [FileController::class, 'update'])->name('files.update');
    Route::post('/gather/files/{preview}', [FileController::class, 'take'])->name('files.take');
    Route::delete('/gather/files/{preview}', [FileController::class, 'destroy'])->name('files.destroy');
    Route::get('/gather/export/{format}', [FileController::class, 'export'])->name('files.export');

    Route::get('/gather/mailbox', [MessageController::class, 'index'])->name('mailbox.index');
    Route::post('/gather/mailbox', [MessageController::class, 'store'])->name('mailbox.store')->middleware('throttle:upload');
    Route::post('/gather/mailbox/fetch', [MessageController::class, 'fetch'])->name('mailbox.fetch');
    Route::get('/messages/{message}', [MessageController::class, 'show'])->name('messages.show');
    Route::post('/messages/{message}/take', [MessageController::class, 'take'])->name('messages.take');
    Route::post('/messages/{message}/put-off', [MessageController::class, 'putOff'])->name('messages.put-off');
    Route::post('/messages/{message}/state', [MessageController::class, 'state'])->name('messages.state');

    Route::get('/gather/tokens', [TokenController::class, 'index'])->name('tokens.index');
    Route::post('/gather/tokens', [TokenController::class, 'store'])->name('tokens.store');
    Route::delete('/gather/tokens/{token}', [TokenController::class, 'destroy'])->name('tokens.destroy');

    Route::post('/tasks/sort', SortController::class)->name('tasks.sort');
    Route::post('/tasks/many', [TaskController::class, 'many'])->name('tasks.many');
    Route::post('/tasks/{trashed}/bring-back', [TaskController::class, 'bringBack'])->name('tasks.bring-back');
    Route::get('/tasks/{any}', [TaskController::class, 'edit'])->name('tasks.edit');
    Route::patch('/tasks/{task}', [TaskController::class, 'update'])->name('tasks.update');
    Route::delete('/tasks/{task}', [TaskController::class, 'destroy'])->name('tasks.destroy');
    Route::post('/tasks/{task}/weigh', [TaskController::class, 'weigh'])->name('tasks.weigh');
    Route::post('/tasks/{task}/place', [BlockController::class, 'place'])->name('tasks.place');
    Route::post('/tasks/{task}/key', [BlockController::class, 'key'])->name('tasks.key');
    Route::post('/tasks/{task}/foresee', [TaskController::class, 'foresee'])->name('tasks.foresee')->middleware('aside');
    Route::post('/tasks/{task}/reopen', [TaskController::class, 'reopen'])->name('tasks.reopen');
    Route::post('/tasks/{task}/try', [TryController::class, 'place'])->name('tasks.try')->middleware('aside');

    Route::post('/tasks/{task}/subtasks', [SubtaskController::class, 'store'])->name('tasks.subtasks.store');
    Route::patch('/subtasks/{subtask}', [SubtaskController::class, 'update'])->name('subtasks.update');
    Route::delete('/subtasks/{subtask}', [SubtaskController::class, 'destroy'])->name('subtasks.destroy');
    Route::post('/tasks/{task}/files', [AttachmentController::class, 'store'])->name('tasks.attachments.store')->middleware('throttle:upload');
    Route::get('/files/{attachment}', [AttachmentController::class, 'show'])->name('attachments.show');
    Route::delete('/files/{attachment}', [AttachmentController::class, 'destroy'])->name('attachments.destroy');
    Route::post('/tasks/{task}/links', [AttachmentController::class, 'link'])->name('tasks.link');
    Route::delete('/links/{link}', [AttachmentController::class, 'unlink'])->name('links.destroy');
    Route::post('/tasks/{task}/template', [TemplateController::class, 'store'])->name('tasks.template.store');
    Route::post('/tasks/{task}/duplicate', [TemplateController::class, 'duplicate'])->name('tasks.duplicate');
    Route::post('/tasks/{task}/repeat', [TemplateController::class, 'repeat'])->name('tasks.repeat');
    Route::patch('/repeats/{repeat}', [TemplateController::class, 'updateRepeat'])->name('repeats.update');
    Route::get('/templates', [TemplateController::class, 'index'])->name('templates.index');
    Route::post('/templates/{template}', [TemplateController::class, 'use'])->name('templates.use');
    Route::delete('/templates/{template}', [TemplateController::class, 'destroy'])->name('templates.destroy');

    Route::get('/projects', [ProjectController::class, 'index'])->name('projects.index');
    Route::post('/projects', [ProjectController::class, 'store'])->name('projects.store');
    Route::get('/projects/{project}', [ProjectController::class, 'show'])->name('projects.show');
    Route::patch('/projects/{project}', [ProjectController::class, 'update'])->name('projects.update');
    Route::delete('/projects/{project}', [ProjectController::class, 'destroy'])->name('projects.destroy');
    Route::post('/projects/{project}/order', [ProjectController::class, 'order'])->name('projects.order');
    Route::post('/day-tasks', [DayTaskController::class, 'store'])->name('day-tasks.store');
    Route::post('/projects/{project}/tasks', [ProjectController::class, 'addTasks'])->name('projects.tasks.store');
    Route::post('/projects/{project}/sections', [ProjectController::class, 'addSection'])->name('projects.sections.store');
    Route::patch('/sections/{section}', [ProjectController::class, 'updateSection'])->name('sections.update');
    Route::delete('/sections/{section}', [ProjectController::class, 'removeSection'])->name('sections.destroy');

    Route::get('/views', [ViewController::class, 'index'])->name('views.index');
    Route::post('/views', [ViewController::class, 'store'])->name('views.store');
    Route::get('/views/build', [ViewController::class, 'build'])->name('views.build');
    Route::get('/views/{view}', [ViewController::class, 'show'])->name('views.show');
    Route::patch('/views/{saved}', [ViewController::class, 'update'])->name('views.update');
    Route::delete('/views/{saved}', [ViewController::class, 'destroy'])->name('views.destroy');
    Route::get('/search', [FindController::class, 'index'])->name('search');
    Route::post('/search/do/{any}', [FindController::class, 'do'])->name('search.do');

    Route::get('/weigh', [WeighController::class, 'field'])->name('weigh.field');
    Route::get('/weigh/list', [WeighController::class, 'list'])->name('weigh.list');
    Route::post('/weigh/{task}', [WeighController::class, 'answer'])->name('weigh.answer');
    Route::post('/weigh/{task}/preview', [WeighController::class, 'preview'])->middleware('aside')->name('weigh.preview');

    Route::get('/close/{date?}', [CloseController::class, 'show'])->name('close.show')->where('date', '\d{4}-\d{2}-\d{2}');
    Route::post('/close', [CloseController::class, 'store'])->name('close.store');
    Route::post('/close/open', [CloseController::class, 'open'])->name('close.open');

    Route::get('/work', [WorkController::class, 'show'])->name('work.show');
    Route::post('/work/start/{task}', [WorkController::class, 'start'])->name('work.start');
    Route::post('/work/pause', [WorkController::class, 'pause'])->name('work.pause');
    Route::post('/work/rest', [WorkController::class, 'rest'])->name('work.rest');
    Route::post('/work/blocks/{block}/more', [WorkController::class, 'more'])->name('work.more');
    Route::post('/work/blocks/{block}/blocked', [WorkController::class, 'blocked'])->name('work.blocked');
    Route::post('/work/forgotten', [WorkController::class, 'settle'])->name('work.settle');
    Route::post('/work/entries/{entry}/went-on', [WorkController::class, 'wentOn'])->name('entries.went-on');
    Route::post('/work/entries', [WorkController::class, 'store'])->name('entries.store');
    Route::patch('/work/entries/{entry}', [WorkController::class, 'update'])->name('entries.update');
    Route::delete('/work/entries/{entry}', [WorkController::class, 'destroy'])->name('entries.destroy');

    Route::get('/goals', [GoalController::class, 'index'])->name('goals.index');
    Route::post('/goals', [GoalController::class, 'store'])->name('goals.store');
    Route::post('/goals/place', [GoalController::class, 'place'])->name('goals.place');
    Route::patch('/goals/{goal}', [GoalController::class, 'update'])->name('goals.update');
    Route::delete('/goals/{goal}', [GoalController::class, 'destroy'])->name('goals.destroy');
    Route::post('/goals/{goal}/mark', [GoalController::class, 'mark'])->name('goals.mark');
    Route::post('/goals/{goal}/steps', [GoalController::class, 'step'])->name('goals.step');
    Route::post('/goals/{goal}/date', [GoalController::class, 'date'])->name('goals.date');
    Route::post('/steps/{step}/over', [GoalController::class, 'over'])->name('steps.over');
    Route::delete('/steps/{step}', [GoalController::class, 'letGo'])->name('steps.destroy');
    Route::post('/cycles', [CycleController::class, 'store'])->name('cycles.store');
    Route::get('/cycles/{cycle}', [CycleController::class, 'show'])->name('cycles.show');
    Route::patch('/cycles/{cycle}', [CycleController::class, 'update'])->name('cycles.update');
    Route::post('/cycles/{cycle}/close', [CycleController::class, 'close'])->name('cycles.close');
    Route::post('/habits', [HabitController::class, 'store'])->name('habits.store');
    Route::patch('/habits/{habit}', [HabitController::class, 'update'])->name('habits.update');
    Route::delete('/habits/{habit}', [HabitController::class, 'destroy'])->name('habits.destroy');
    Route::post('/habits/{habit}/done', [HabitController::class, 'done'])->name('habits.done');

    Route::get('/review/{date?}', [ReviewController::class, 'show'])->name('review.show')->where('date', '\d{4}-\d{2}-\d{2}');
    Route::post('/review/rule', [ReviewController::class, 'rule'])->name('review.rule');
    Route::post('/review/{date}', [ReviewController::class, 'step'])->name('review.step')->where('date', '\d{4}-\d{2}-\d{2}');
    Route::post('/review/{date}/close', [ReviewController::class, 'close'])->name('review.close')->where('date', '\d{4}-\d{2}-\d{2}');
    Route::post('/review/{date}/open', [ReviewController::class, 'open'])->name('review.open')->where('date', '\d{4}-\d{2}-\d{2}');
    Route::post('/review/{date}/keep/{task}', [ReviewController::class, 'keep'])->name('review.keep')->where('date', '\d{4}-\d{2}-\d{2}');
    Route::post('/review/nudge/{task}', [ReviewController::class, 'nudge'])->name('review.nudge')->middleware('throttle:letter');
    Route::post('/review/later/{task}', [ReviewController::class, 'later'])->name('review.later');
    Route::patch('/review/prompt/{area}', [ReviewController::class, 'prompt'])->name('review.prompt');

    Route::get('/reports', [ReportController::class, 'index'])->name('reports.index');
    Route::post('/reports', [ReportController::class, 'store'])->name('reports.store');
    Route::get('/reports/{report}', [ReportController::class, 'show'])->name('reports.show');
    Route::patch('/reports/{report}', [ReportController::class, 'update'])->name('reports.update');
    Route::delete('/reports/{report}', [ReportController::class, 'destroy'])->name('reports.destroy');
    Route::post('/reports/{report}/send', [ReportController::class, 'send'])->name('reports.send')->middleware('throttle:letter');

    Route::get('/ledger', [LedgerController::class, 'show'])->name('ledger.show');
    Route::get('/ledger/entries', [LedgerController::class, 'entries'])->name('ledger.entries');
    Route::get('/ledger/csv', [LedgerController::class, 'csv'])->name('ledger.csv');

    Route::get('/horizon', [HorizonController::class, 'show'])->name('horizon.show');
    Route::get('/horizon/if', [WhatIfController::class, 'show'])->name('whatif.show');
    Route::post('/horizon/if', [WhatIfController::class, 'keep'])->name('whatif.keep');
    Route::post('/horizon/letter', [WhatIfController::class, 'letter'])->name('whatif.letter')->middleware('throttle:letter');
    Route::get('/month/{date?}', [HorizonController::class, 'month'])->name('month.show');
    Route::get('/week/plan/{date?}', [WeekController::class, 'plan'])->name('week.plan');
    Route::post('/week/plan/{date}', [WeekController::class, 'takePlan'])->name('week.take-plan');
    Route::get('/week/{date?}', [WeekController::class, 'show'])->name('week.show');
    Route::post('/week/move', [WeekController::class, 'move'])->name('week.move');
    Route::post('/week/balance', [WeekController::class, 'balance'])->name('week.balance');
    Route::post('/week/try', [WeekController::class, 'try'])->name('week.try')->middleware('aside');

    Route::get('/shape/{date}/list', DayListController::class)->name('shape.list');
    Route::post('/shape/morning', [ShapeController::class, 'morning'])->name('shape.morning');
    Route::get('/shape/{date?}', [ShapeController::class, 'show'])->name('shape.show');
    Route::post('/plan/change', [PlanController::class, 'change'])->name('plan.change');
    Route::post('/plan/lay-out', [PlanController::class, 'layOut'])->name('plan.lay-out');
    Route::post('/plan/pick', [PlanController::class, 'pick'])->name('plan.pick');
    Route::post('/plan/end-day', [PlanController::class, 'end'])->name('plan.end');
    Route::post('/plan/go-on', [PlanController::class, 'goOn'])->name('plan.go-on');
    Route::post('/plan/undo', [PlanController::class, 'undo'])->name('plan.undo');
    Route::post('/plan/redo', [PlanController::class, 'redo'])->name('plan.redo');
    Route::post('/plan/seen', [PlanController::class, 'seen'])->name('plan.seen');

    Route::patch('/blocks/{block}', [BlockController::class, 'move'])->name('blocks.move');
    Route::post('/blocks/{block}/try', [TryController::class, 'move'])->name('blocks.try')->middleware('aside');
    Route::post('/blocks/{block}/split', [BlockController::class, 'split'])->name('blocks.split');
    Route::post('/blocks/{block}/join', [BlockController::class, 'join'])->name('blocks.join');
    Route::post('/blocks/{block}/swap', [BlockController::class, 'swap'])->name('blocks.swap');
    Route::post('/blocks/{block}/send', [BlockController::class, 'send'])->name('blocks.send');
    Route::post('/blocks/{block}/anchor', [BlockController::class, 'anchor'])->name('blocks.anchor');
    Route::post('/blocks/{block}/release', [BlockController::class, 'release'])->name('blocks.release');
    Route::post('/blocks/{block}/done', [BlockController::class, 'done'])->name('blocks.done');
    Route::post('/blocks/{block}/part', [BlockController::class, 'partDone'])->name('blocks.part-done');

    Route::post('/routines', [RoutineController::class, 'store'])->name('routines.store');
    Route::patch('/routines/{routine}', [RoutineController::class, 'update'])->name('routines.update');
    Route::delete('/routines/{routine}', [RoutineController::class, 'destroy'])->name('routines.destroy');
    Route::patch('/routines/{routine}/days/{date}', [RoutineController::class, 'day'])->name('routines.day')->where('date', '\d{4}-\d{2}-\d{2}');
    Route::patch('/lunch/{date}', [RoutineController::class, 'lunch'])->name('lunch.day')->where('date', '\d{4}-\d{2}-\d{2}');

    Route::post('/reserves', [ReserveController::class, 'store'])->name('reserves.store');
    Route::patch('/reserves/{reserve}', [ReserveController::class, 'update'])->name('reserves.update');
    Route::delete('/reserves/{reserve}', [ReserveController::class, 'destroy'])->name('reserves.destroy');
    Route::post('/reserves/{reserve}/tasks', [ReserveController::class, 'put'])->name('reserves.put');

    Route::get('/meetings', [MeetingController::class, 'index'])->name('meetings.index');
    Route::post('/meetings', [MeetingController::class, 'store'])->name('meetings.store')->middleware('throttle:upload');
    Route::post('/meetings/own', [OwnMeetingController::class, 'store'])->name('own.store');
    Route::patch('/occurrences/{occurrence}', [OwnMeetingController::class, 'update'])->name('own.update');
    Route::delete('/occurrences/{occurrence}', [OwnMeetingController::class, 'destroy'])->name('own.destroy');
    Route::get('/meetings/{meeting}', [MeetingController::class, 'at'])->name('meetings.at')->whereNumber('meeting');
    Route::patch('/meetings/{meeting}', [MeetingController::class, 'update'])->name('meetings.update');
    Route::get('/meetings/imports/{import}', [MeetingController::class, 'show'])->name('imports.show');
    Route::post('/calendars', [CalendarController::class, 'follow'])->name('calendars.follow')->middleware('throttle:fetch');
    Route::post('/calendars/fetch', [CalendarController::class, 'fetchAll'])->name('calendars.fetch-all')->middleware('throttle:fetch');
    Route::get('/calendars/{calendar}', [CalendarController::class, 'show'])->name('calendars.show');
    Route::patch('/calendars/{calendar}', [CalendarController::class, 'update'])->name('calendars.update');
    Route::delete('/calendars/{calendar}', [CalendarController::class, 'destroy'])->name('calendars.destroy');
    Route::post('/calendars/{calendar}/fetch', [CalendarController::class, 'fetch'])->name('calendars.fetch')->middleware('throttle:fetch');
    Route::post('/calendars/{calendar}/keeper', [CalendarController::class, 'keeper'])->name('calendars.keeper');
    Route::post('/calendar-groups', [CalendarGroupController::class, 'store'])->name('groups.store');
    Route::patch('/calendar-groups/{group}', [CalendarGroupController::class, 'update'])->name('groups.update');
    Route::delete('/calendar-groups/{group}', [CalendarGroupController::class, 'destroy'])->name('groups.destroy');
    Route::post('/occurrences/{occurrence}/answer', [OccurrenceController::class, 'answer'])->name('occurrences.answer');
    Route::get('/occurrences/{occurrence}', [OccurrenceController::class, 'show'])->name('occurrences.show');
    Route::post('/occurrences/{occurrence}/note', [OccurrenceController::class, 'note'])->name('occurrences.note');
    Route::post('/occurrences/{occurrence}/decided', [OccurrenceController::class, 'decided'])->name('occurrences.decided');
    Route::post('/occurrences/{occurrence}/task', [MeetingController::class, 'task'])->name('occurrences.task');

    Route::post('/lens', LensController::class)->name('lens');
    Route::post('/settings/areas', [AreaController::class, 'store'])->name('areas.store');
    Route::patch('/settings/areas/{area}', [AreaController::class, 'update'])->name('areas.update');
    Route::delete('/settings/areas/{area}', [AreaController::class, 'destroy'])->name('areas.destroy');
    Route::post('/settings/contexts', [AreaController::class, 'storeContext'])->name('contexts.store');
    Route::patch('/settings/contexts/{context}', [AreaController::class, 'updateContext'])->name('contexts.update');
    Route::delete('/settings/contexts/{context}', [AreaController::class, 'destroyContext'])->name('contexts.destroy');

    Route::get('/outbox', [OutboxController::class, 'index'])->name('outbox.index');
    Route::get('/outbox/{mail}', [OutboxController::class, 'show'])->name('outbox.show');
    Route::get('/outbox/{mail}/source', [OutboxController::class, 'source'])->name('outbox.source');

    Route::get('/settings/{part?}', [SettingsController::class, 'edit'])->name('settings.edit');
    Route::put('/settings', [SettingsController::class, 'update'])->name('settings.update');
    Route::put('/settings/best-hours', [HoursController::class, 'updateBest'])->name('hours.best');
    Route::post('/settings/hours', [HoursController::class, 'store'])->name('hours.store');
    Route::put('/settings/hours/{set}', [HoursController::class, 'update'])->name('hours.update');
    Route::patch('/settings/hours/{set}', [HoursController::class, 'rename'])->name('hours.rename');
    Route::delete('/settings/hours/{set}', [HoursController::class, 'destroy'])->name('hours.destroy');
    Route::post('/settings/hours/{set}/dates', [HoursController::class, 'storeDates'])->name('hours.dates.store');
    Route::post('/settings/hours/{set}/holidays', [HoursController::class, 'holidays'])->name('hours.holidays')->middleware('throttle:upload');
    Route::delete('/settings/hours/{set}/dates/{exception}', [HoursController::class, 'destroyDate'])->name('hours.dates.destroy')->scopeBindings();
});
