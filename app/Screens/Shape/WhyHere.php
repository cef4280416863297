<?php

declare(strict_types=1);

namespace App\Screens\Shape;

use App\Models\Block;
use App\Models\User;
use App\Rows\Candidate;
use App\Wording\Dates;
use App\Wording\Figures;
use App\Wording\Times;
use Carbon\CarbonImmutable;
use Nekto\Core\Time\LocalDay;

/** A block's reasons in words. */
final readonly class WhyHere
{
    public function __construct(private User $user, private CarbonImmutable $now) {}

    /** @param  int|null  $chance  % to be in time */
    public function of(Block $block, ?Candidate $candidate, ?int $chance = null): string
    {
        $sentences = $block->anchored ? [__('plan.reason.anchored')] : $this->reasons($block->reasons ?? []);
        if ($candidate !== null && $candidate->due !== null) {
            $room = $candidate->demand?->room() ?? 0;
            array_unshift($sentences, __($room < 0 ? 'shape.why.short' : 'shape.why.due', [
                'pull' => $candidate->pull->total(),
                'time' => Times::duration(abs($room)),
                'day' => Times::day($this->user, $candidate->due - 1, $this->now),
            ]));
        } elseif ($candidate !== null) {
            array_unshift($sentences, __('shape.why.pull', ['pull' => $candidate->pull->total()]));
        }

        $chance === null || $sentences[] = ucfirst(Figures::chance($chance)).'.';

        return implode(' ', $sentences);
    }

    /**
     * @param  list<array<string, int|string>>  $reasons
     * @return list<string>
     */
    private function reasons(array $reasons): array
    {
        $tasks = $this->user->tasks()->with('project')->findMany(array_filter(array_column($reasons, 'task')))->keyBy('id');
        $behind = array_values(array_filter(array_map(
            static fn (array $reason): ?string => $reason['code'] === 'behind_task' ? ($tasks[(int) $reason['task']] ?? null)?->shortTitle() : null,
            $reasons,
        )));
        $sentences = [];
        foreach ($reasons as $reason) {
            if (in_array($reason['code'], ['behind_task', 'in_time', 'late'], true)) {
                continue; // named together below; said with the room there is
            }
            $after = isset($reason['task']) ? $tasks[(int) $reason['task']] ?? null : null;
            if (isset($reason['task']) && $after === null) {
                continue; // it is gone
            }
            $sentences[] = __("plan.reason.{$reason['code']}", [
                'at' => isset($reason['at']) ? Times::when($this->user, (int) $reason['at'], $this->now) : '',
                'end' => isset($reason['end']) ? Times::when($this->user, (int) $reason['end'], $this->now) : '',
                'task' => $after?->shortTitle() ?? '',
                'context' => $reason['context'] ?? '',
                'project' => $after?->project->name ?? '',
                'part' => $reason['part'] ?? '',
                'day' => isset($reason['day']) ? Dates::of($this->user)->near(new LocalDay((int) $reason['day'])) : '',
            ]);
        }
        if ($behind !== []) {
            $sentences[] = __('plan.reason.behind_task', ['tasks' => implode(', ', $behind)]);
        }

        return $sentences;
    }
}
