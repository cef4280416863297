<?php

declare(strict_types=1);

namespace App\Screens\Gather;

use App\Models\TaskStage;
use App\Models\User;
use App\Time\Clock;

/** What Gather shows: the inbox, the mailbox, and what sorting offers. */
final readonly class GatherScreen
{
    /** More than anyone sorts in one go; the rest follows as these go. */
    private const ROWS = 200;

    public function of(User $user): GatherPage
    {
        $today = $user->local(Clock::now())->format('Y-m-d');
        $waiting = $user->tasks()->whereNull('done_at')->where('stage', TaskStage::Waiting)->with('area')->orderBy('ask_on')->orderBy('id')->limit(self::ROWS)->get();
        $inbox = $user->tasks()->inbox();

        return new GatherPage(
            total: (clone $inbox)->count(),
            items: $inbox->with(['area', 'project', 'contexts', 'links', 'repeat'])->withCount(['subtasks', 'attachments'])->orderBy('created_at')->orderBy('id')->limit(self::ROWS)->get(),
            waiting: $waiting,
            someday: $user->tasks()->whereNull('done_at')->where('stage', TaskStage::Someday)->count(),
            references: $user->tasks()->whereNull('done_at')->where('stage', TaskStage::Reference)->count(),
            messages: $user->messages()->where('state', 'new')
                ->where(static fn ($query) => $query->whereNull('put_off_until')->orWhere('put_off_until', '<=', $today))
                ->withCount('attachments')->orderByDesc('received_at')->limit(50)->get(),
            putOff: $user->messages()->where('state', 'new')->where('put_off_until', '>', $today)->count(),
            projects: $user->projects()->whereNull('done_at')->pluck('name'),
            people: $user->tasks()->whereNotNull('waiting_for')->distinct()->orderBy('waiting_for')->limit(50)->pluck('waiting_for'),
        );
    }
}
