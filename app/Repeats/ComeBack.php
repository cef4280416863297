<?php

declare(strict_types=1);

namespace App\Repeats;

use App\Edits\TaskDoor;
use App\Models\TaskStage;
use App\Models\User;
use Carbon\CarbonImmutable;
use Illuminate\Support\Facades\DB;

/** What waited for an answer or for someday lies in the inbox again when its date has come. */
final readonly class ComeBack
{
    public function __construct(private TaskDoor $door) {}

    public function __invoke(User $user, CarbonImmutable $now): void
    {
        $today = $user->local($now)->format('Y-m-d');
        $due = $user->tasks()->whereNull('done_at')->where(static fn ($query) => $query
            ->where(static fn ($query) => $query->where('stage', TaskStage::Waiting)->where('ask_on', '<=', $today))
            ->orWhere(static fn ($query) => $query->where('stage', TaskStage::Someday)->where('return_on', '<=', $today)));
        if ((clone $due)->doesntExist()) {
            return;
        }
        DB::transaction(function () use ($user, $due, $now): void {
            foreach ($due->get() as $task) {
                $this->door->change($task->setRelation('user', $user), ['stage' => TaskStage::Inbox], $now);
            }
        });
    }
}
