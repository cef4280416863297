<?php

declare(strict_types=1);

namespace App\Rows;

use App\Models\TaskStage;
use App\Models\User;
use Illuminate\Support\Facades\DB;
use Nekto\Core\Propose\Proposals;

/** What a person's earlier lines got, as the core learns from it: the newest, sorted or done. */
final class PastLines
{
    private const MOST = 1500;

    public static function learned(User $user): Proposals
    {
        $proposals = new Proposals;
        $rows = DB::table('tasks')->where('user_id', $user->id)->whereNull('deleted_at')->where('stage', '!=', TaskStage::Inbox->value)
            ->orderByDesc('id')->limit(self::MOST)->get(['id', 'title', 'project_id', 'area_id', 'demand', 'estimate']);
        $contexts = DB::table('context_task')->whereIn('task_id', DB::table('tasks')->where('user_id', $user->id)->orderByDesc('id')->limit(self::MOST)->select('id'))->pluck('context_id', 'task_id');
        foreach ($rows as $row) {
            $proposals->learn((string) $row->title, [
                'project' => $row->project_id === null ? null : (int) $row->project_id,
                'area' => (int) $row->area_id,
                'context' => isset($contexts[$row->id]) ? (int) $contexts[$row->id] : null,
                'demand' => $row->demand === 'deep' ? 'deep' : null, // light is what a task is anyway
                'minutes' => $row->estimate === null ? null : (int) $row->estimate,
            ]);
        }

        return $proposals;
    }
}
