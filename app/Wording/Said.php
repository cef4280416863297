<?php

declare(strict_types=1);

namespace App\Wording;

use App\Models\PlanRevision;
use App\Models\RefusedTime;
use App\Models\User;
use App\Time\Clock;
use Illuminate\Container\Attributes\CurrentUser;

/** What the toast says after a change, and whether it can be undone there. */
final readonly class Said
{
    public function __construct(#[CurrentUser] private User $user) {}

    /**
     * @param  string|null  $instead  said in place of the cause's own words
     * @return array<string, mixed> to be flashed
     */
    public function about(?PlanRevision $revision, ?string $instead = null): array
    {
        if ($revision === null) {
            return ['status' => $instead ?? __('plan.nothing_changed')];
        }
        $note = new ChangeNote($this->user, Clock::now());
        $said = $note->summary($revision, $instead);

        return [
            'status' => implode(' ', [$said, ...array_map($this->refused(...), $revision->refusedTimes)]),
            'undo' => true,
            'revision' => $revision->id,
            'offer' => $this->offer($revision->refusedTimes),
        ];
    }

    /**
     * What would become late, before anything is done; with the press that does it all the same.
     *
     * @param  array<string, string>  $fields
     * @return array<string, mixed>|null to be flashed; null where nothing would
     */
    public function warning(?PlanRevision $tried, string $action, array $fields): ?array
    {
        $late = $tried === null ? [] : (new ChangeNote($this->user, Clock::now()))->late($tried);

        return $late === [] ? null : ['status' => implode(' ', [...$late, __('plan.nothing_moved_yet')]), 'offer' => ['action' => $action, 'fields' => ['late' => '1', ...$fields], 'label' => __('plan.all_the_same')]];
    }

    private function refused(RefusedTime $one): string
    {
        return __('plan.time_taken', [
            'title' => $one->task->title,
            'at' => Times::when($this->user, $one->at, Clock::now()),
            'by' => $one->byTitle(),
            'when' => Times::range($this->user, $one->by->starts_at, $one->by->ends_at),
        ]);
    }

    /**
     * The next free time of a single task whose set time is another's, to be taken with one press.
     *
     * @param  list<RefusedTime>  $refused
     * @return array{action: string, fields: array<string, string>, label: string}|null
     */
    private function offer(array $refused): ?array
    {
        $one = $refused[0] ?? null;
        if ($one === null || $one->free === null || count($refused) > 1) {
            return null;
        }
        $local = $this->user->local($one->free);

        return ['action' => "/tasks/{$one->task->id}/place", 'fields' => ['day' => $local->format('Y-m-d'), 'start' => $local->format('H:i')], 'label' => __('plan.take_free_time', ['when' => Times::when($this->user, $one->free, Clock::now())])];
    }
}
