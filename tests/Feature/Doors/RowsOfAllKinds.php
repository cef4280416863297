<?php

declare(strict_types=1);

namespace Tests\Feature\Doors;

use App\Models\User;
use Nekto\Core\Task\Importance;

/** An account with a row of every kind that an address can name. */
trait RowsOfAllKinds
{
    /**
     * @param  string  $words  that stand in every row that has words
     * @return array<string, list<int|string>> ids by the name of the route's parameter
     */
    protected function rowsOf(User $user, string $words = 'Task'): array
    {
        $area = $user->areas()->firstOrFail();
        $tasks = [];
        foreach (range(1, 6) as $i) {
            $tasks[] = $this->task("{$words} {$i}", 30 * $i, Importance::from(1 + $i % 4), $i % 2 ? '2026-03-13' : null, of: $user);
        }
        $tasks[] = $user->tasks()->create(['title' => "{$words} caught", 'area_id' => $area->id, 'stage' => 'inbox'])->refresh();
        $this->meeting("{$words} committee", '2026-03-11 11:00', '2026-03-11 12:00', $user);
        $block = $this->block($tasks[0], '2026-03-11 09:00', '2026-03-11 10:00');
        $other = $this->block($tasks[1], '2026-03-11 14:00', '2026-03-11 15:00', anchored: true);
        $set = $user->hoursSets()->firstOrFail();
        $project = $user->projects()->create(['name' => "{$words} room", 'area_id' => $area->id]);
        $gone = $this->task("{$words} gone", of: $user);
        $gone->delete();
        $own = ['user_id' => $user->id];

        return [
            'task' => array_map(static fn ($task): int => $task->id, $tasks), 'block' => [$block->id, $other->id], 'trashed' => [$gone->id], 'any' => [$gone->id],
            'entry' => [$user->entries()->create(['starts_at' => now()->subHour(), 'ends_at' => now(), 'task_id' => $tasks[0]->id])->id],
            'project' => [$project->id], 'area' => [$area->id], 'context' => [$user->contexts()->create(['name' => "{$words} dock"])->id],
            'message' => [$user->messages()->create(['message_id' => '1', 'from_name' => 'Ana', 'subject' => "{$words} lamps", 'body' => $words, 'received_at' => now()])->id],
            'section' => [$project->sections()->create($own + ['name' => "{$words} A"])->id], 'subtask' => [$tasks[0]->subtasks()->create($own + ['title' => "{$words} A"])->id],
            'link' => [$tasks[0]->links()->create($own + ['address' => 'https://example.org'])->id],
            'attachment' => [$user->attachments()->create(['name' => 'a', 'path' => 'a', 'type' => 'text/plain', 'size' => 1])->id],
            'template' => [$user->templates()->create(['name' => "{$words} A", 'pattern' => ['title' => "{$words} A"]])->id],
            'repeat' => [$user->repeats()->create(['rule' => 'FREQ=DAILY', 'pattern' => ['title' => "{$words} A"], 'begins_on' => '2026-03-11'])->id],
            'saved' => [$user->savedViews()->create(['name' => "{$words} A", 'question' => []])->id], 'view' => ['someday', 'notes', 'no-date', 1],
            'reserve' => [$user->reserves()->create(['title' => "{$words} A", 'starts_at' => $this->utc('2026-03-11 15:30'), 'ends_at' => $this->utc('2026-03-11 16:00')])->id],
            'routine' => [$user->routines()->create(['title' => "{$words} A", 'at' => 960, 'minutes' => 30, 'days' => 'wed,thu', 'from' => '2026-03-01', 'parts' => [['title' => 'a', 'minutes' => 10]]])->id], 'part' => ['hours', 'rules', 'areas'],
            'mail' => [$user->outboxMails()->create(['to' => 'a', 'subject' => "{$words} A", 'body' => '', 'source' => '', 'sent_at' => now()])->id],
            'token' => [$user->captureTokens()->create(['name' => "{$words} A", 'hash' => $words])->id],
            'preview' => [$user->intakes()->create(['kind' => 'tasks', 'name' => 'a', 'format' => 'todotxt', 'stage' => 'ready'])->id],
            'occurrence' => [(int) $user->occurrences()->value('id')], 'meeting' => [(int) $user->meetings()->value('id')], 'set' => [$set->id],
            'calendar' => [(int) $user->calendars()->value('id'), $user->calendars()->create(['kind' => 'address', 'name' => "{$words} A", 'address' => 'https://calendars.example/a.ics'])->id, $user->calendars()->create(['kind' => 'file', 'name' => "{$words} B"])->id],
            'group' => [$user->calendarGroups()->create(['name' => "{$words} A"])->id],
            'exception' => [$set->exceptions()->create(['date' => '2026-03-12', 'stretches' => []])->id], 'import' => [$user->intakes()->create(['kind' => 'calendar', 'name' => 'a.ics'])->id],
            'signIn' => [$user->signIns()->create(['agent' => 'a', 'address' => 'a', 'stays' => false, 'began_at' => now(), 'seen_at' => now()])->id], 'letter' => ['a', str_repeat('b', 40)],
            'date' => ['2026-03-11', '2026-03-12', '2026-12-31'], 'format' => ['csv', 'markdown', 'json', 'ics', 'todotxt'],
        ];
    }
}
