<?php

declare(strict_types=1);

namespace App\Wording;

use App\Models\TaskEvent;
use App\Models\User;
use Carbon\CarbonImmutable;
use Illuminate\Support\Collection;
use Nekto\Core\Pressure\Push;
use Nekto\Core\Task\Importance;
use Nekto\Core\Time\LocalDay;

/** What happened to a task, in words. */
final readonly class History
{
    public function __construct(private User $user) {}

    /**
     * @param  Collection<int, TaskEvent>  $events
     * @return list<array{when: string, what: string}>
     */
    public function lines(Collection $events): array
    {
        return array_values($events->map(fn (TaskEvent $event): array => [
            'when' => Dates::of($this->user)->full($this->user->local($event->at)).', '.Times::clock($this->user, $event->at),
            'what' => $this->words($event),
        ])->all());
    }

    private function words(TaskEvent $event): string
    {
        if (in_array($event->what, ['caught', 'let_go', 'brought_back'], true)) {
            return __("history.{$event->what}", ['source' => __('gather.source.'.($event->facts['source'] ?? 'typed'))]);
        }
        $from = $this->value($event->what, $event->facts['from'] ?? null);
        $to = $this->value($event->what, $event->facts['to'] ?? null);
        if ($event->what === 'done_at') {
            return __($to === '' ? 'history.opened_again' : 'history.done');
        }

        return match (true) {
            $to === '' => __('history.taken_away', ['what' => __("history.names.{$event->what}"), 'from' => $from]),
            $from === '' => __('history.set', ['what' => __("history.names.{$event->what}"), 'to' => $to]),
            default => __('history.changed', ['what' => __("history.names.{$event->what}"), 'from' => $from, 'to' => $to]),
        };
    }

    private function moment(CarbonImmutable $at): string
    {
        return Dates::of($this->user)->short($this->user->local($at)).', '.Times::clock($this->user, $at);
    }

    private function value(string $what, int|string|bool|null $value): string
    {
        if ($value === null || $value === '') {
            return '';
        }

        return match ($what) {
            'importance' => Importance::tryFrom((int) $value)?->word() ?? '',
            'estimate', 'said' => Times::duration((int) $value),
            'push' => ['1' => 'treat as urgent', '0' => 'none', '-1' => 'hold back'][(string) (Push::tryFrom((int) $value)->value ?? 0)],
            'due_hard' => (bool) $value ? 'hard' : 'soft',
            'due_at', 'not_before', 'set_at', 'done_at' => $this->moment(CarbonImmutable::parse((string) $value, 'UTC')),
            'due_on', 'picked_on', 'ask_on', 'return_on' => preg_match('/^\d{4}-\d{2}-\d{2}/', (string) $value) === 1 ? Dates::of($this->user)->full(LocalDay::fromString(substr((string) $value, 0, 10))) : (string) $value,
            'area_id' => (string) $this->user->areas()->whereKey((int) $value)->value('name'),
            'project_id' => (string) $this->user->projects()->withTrashed()->whereKey((int) $value)->value('name'),
            default => (string) $value,
        };
    }
}
