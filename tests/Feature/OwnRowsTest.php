<?php

declare(strict_types=1);

namespace Tests\Feature;

use Illuminate\Routing\Route;
use Illuminate\Support\Facades\Route as Router;
use PHPUnit\Framework\Attributes\Test;

/** Rows of another account do not exist, whatever is done with their address. */
final class OwnRowsTest extends FeatureTestCase
{
    #[Test]
    public function every_route_with_a_row_refuses_the_rows_of_others(): void
    {
        $other = $this->person('wim@example.org');
        $task = $this->task('Lighting plan', of: $other);
        $block = $this->block($task, '2026-03-11 09:00', '2026-03-11 10:00');
        $this->meeting('Lighting', '2026-03-11 11:00', '2026-03-11 12:00', $other);
        $set = $other->hoursSets()->firstOrFail();
        $exception = $set->exceptions()->create(['date' => '2026-03-12', 'stretches' => []]);
        $import = $other->intakes()->create(['kind' => 'calendar', 'name' => 'a.ics']);
        $project = $other->projects()->create(['name' => 'Theirs', 'area_id' => $other->areas()->firstOrFail()->id]);
        $gone = $this->task('Gone', of: $other);
        $gone->delete();
        $message = $other->messages()->create(['message_id' => '1', 'from_name' => 'Ana', 'subject' => 'Lamps', 'body' => '', 'received_at' => now()]);
        $own = ['user_id' => $other->id];
        $cycle = $other->cycles()->create(['begins_on' => '2026-03-09', 'weeks' => 12]);
        $goal = $cycle->goals()->make(['name' => 'A', 'target' => 2, 'area_id' => $other->areas()->firstOrFail()->id]);
        $goal->user_id = $other->id;
        $goal->save();
        $ids = [
            'entry' => $other->entries()->create(['starts_at' => now(), 'ends_at' => now()->addHour()])->id, 'project' => $project->id, 'trashed' => $gone->id, 'any' => $gone->id, 'message' => $message->id, 'area' => $other->areas()->firstOrFail()->id, 'context' => $other->contexts()->create(['name' => 'dock'])->id,
            'section' => $project->sections()->create($own + ['name' => 'A'])->id, 'subtask' => $task->subtasks()->create($own + ['title' => 'A'])->id, 'link' => $task->links()->create($own + ['address' => 'https://example.org'])->id,
            'attachment' => $other->attachments()->create(['name' => 'a', 'path' => 'a', 'type' => 'text/plain', 'size' => 1])->id, 'template' => $other->templates()->create(['name' => 'A', 'pattern' => []])->id,
            'repeat' => $other->repeats()->create(['rule' => 'FREQ=DAILY', 'pattern' => [], 'begins_on' => '2026-03-11'])->id, 'saved' => $other->savedViews()->create(['name' => 'A', 'question' => []])->id,
            'reserve' => $other->reserves()->create(['title' => 'A', 'starts_at' => now(), 'ends_at' => now()->addHour()])->id, 'mail' => $other->outboxMails()->create(['to' => 'a', 'subject' => 'A', 'body' => '', 'source' => '', 'sent_at' => now()])->id,
            'token' => $other->captureTokens()->create(['name' => 'A', 'hash' => 'a'])->id, 'preview' => $other->intakes()->create(['kind' => 'tasks', 'name' => 'a', 'format' => 'todotxt', 'stage' => 'ready'])->id, 'signIn' => $other->signIns()->create(['agent' => 'a', 'address' => 'a', 'stays' => false, 'began_at' => now(), 'seen_at' => now()])->id, 'occurrence' => $other->occurrences()->value('id'), 'calendar' => $other->calendars()->value('id'), 'group' => $other->calendarGroups()->create(['name' => 'A'])->id,
            'routine' => $other->routines()->create(['title' => 'A', 'at' => 600, 'minutes' => 30, 'days' => 'wed', 'from' => '2026-03-01', 'parts' => []])->id,
            'cycle' => $cycle->id, 'goal' => $goal->id, 'step' => $goal->steps()->create($own + ['task_id' => $task->id, 'week_on' => '2026-03-09'])->id, 'habit' => $other->habits()->create(['title' => 'A', 'area_id' => $goal->area_id, 'minutes' => 30, 'times' => 2, 'from' => '2026-03-09'])->id, 'report' => $other->reports()->create(['name' => 'A', 'scope' => 'week', 'sections' => 'done'])->id,
            'task' => $task->id, 'block' => $block->id, 'meeting' => $other->meetings()->value('id'), 'set' => $set->id, 'exception' => $exception->id, 'import' => $import->id,
        ];
        $before = $this->plan($other);

        $routes = array_filter(Router::getRoutes()->getRoutes(), static fn (Route $route): bool => array_intersect_key(array_flip($route->parameterNames()), $ids) !== []);
        self::assertGreaterThan(50, count($routes));
        foreach ($routes as $route) {
            $address = strtr(str_replace('{date}', '2026-03-11', $route->uri()), array_combine(array_map(static fn (string $name): string => "{{$name}}", array_keys($ids)), array_map(strval(...), $ids)));
            $response = $this->call($route->methods()[0], $address, ['title' => 'Taken', 'left' => '5', 'day' => '2026-03-11', 'week' => [], 'answer' => 'let_go']);
            in_array('block', $route->parameterNames(), true) ? $response->assertSessionHasErrors(['start' => __('plan.conflict.gone')]) : $response->assertNotFound();
        }

        self::assertSame($before, $this->plan($other));
        self::assertSame('Lighting plan', $task->refresh()->title);
        self::assertTrue($exception->exists());
    }

    #[Test]
    public function a_date_of_another_set_cannot_be_reached_through_ones_own(): void
    {
        $theirs = $this->person('wim@example.org')->hoursSets()->firstOrFail()->exceptions()->create(['date' => '2026-03-12', 'stretches' => []]);
        $mine = $this->ines->hoursSets()->firstOrFail();

        $this->delete("/settings/hours/{$mine->id}/dates/{$theirs->id}")->assertNotFound();
    }

    #[Test]
    public function a_task_cannot_be_put_into_the_area_of_another(): void
    {
        $task = $this->task('Quotes');
        $area = $this->person('wim@example.org')->areas()->firstOrFail();

        $this->patch("/tasks/{$task->id}", ['area_id' => $area->id])->assertSessionHasErrors('area_id');
    }

    #[Test]
    public function nothing_of_a_task_or_an_area_is_anothers(): void
    {
        $wim = $this->person('wim@example.org');
        $task = $this->task('Quotes');
        $project = $wim->projects()->create(['name' => 'Theirs', 'area_id' => $wim->areas()->firstOrFail()->id]);
        $section = $project->sections()->create(['user_id' => $wim->id, 'name' => 'A', 'position' => 1]);
        $area = $this->ines->areas()->firstOrFail();
        $before = $task->refresh()->getAttributes();

        foreach (['hours_set_id' => $wim->hoursSets()->firstOrFail()->id, 'project_id' => $project->id, 'section_id' => $section->id, 'area_id' => $wim->areas()->firstOrFail()->id] as $field => $id) {
            $this->patch("/tasks/{$task->id}", ['title' => 'Quotes', $field => $id])->assertSessionHasErrors($field);
        }
        self::assertSame($before, $task->refresh()->getAttributes());
        $this->patch("/settings/areas/{$area->id}", ['hours_set_id' => $wim->hoursSets()->firstOrFail()->id])->assertSessionHasErrors('hours_set_id');
        $this->post('/tasks/many', ['ids' => [$task->id], 'area_id' => $wim->areas()->firstOrFail()->id])->assertSessionHasErrors('area_id');
    }

    #[Test]
    public function lists_show_only_what_is_ones_own(): void
    {
        $other = $this->person('wim@example.org');
        $this->task('Lighting plan', of: $other);
        $this->block($this->task('Cable run', of: $other), '2026-03-11 09:00', '2026-03-11 10:00');
        $this->meeting('Gallery round', '2026-03-11 11:00', '2026-03-11 12:00', $other);

        foreach (['/shape', '/gather', '/gather/files', '/gather/mailbox', '/gather/tokens', '/weigh', '/weigh/list', '/projects', '/templates', '/views/no-date', '/search?q=plan', '/gather/export/csv', '/meetings', '/settings', '/goals', '/review', '/ledger', '/ledger/entries', '/reports'] as $address) {
            $this->get($address)->assertOk()->assertDontSee('Lighting plan')->assertDontSee('Cable run')->assertDontSee('Gallery round');
        }
    }
}
