<?php

declare(strict_types=1);

namespace App\Wording;

use App\Models\Block;
use App\Models\User;
use App\Undo\Undone;
use Carbon\CarbonImmutable;

/** What an undo brought back, and where it is now. */
final readonly class UndoneNote
{
    /** So many are named with their times. */
    private const NAMED = 2;

    public function __construct(private User $user, private CarbonImmutable $now) {}

    public function of(Undone $undone): string
    {
        return implode(' ', array_filter([
            __("plan.undone.{$undone->revision->cause->value}"),
            $this->places($undone),
            $undone->leftAlone === [] ? '' : __('plan.undone_except', ['titles' => implode(', ', $undone->leftAlone)]),
        ]));
    }

    /** What was undone and holds once more. */
    public function again(Undone $done): string
    {
        return implode(' ', array_filter([
            __('plan.again', ['what' => lcfirst((new ChangeNote($this->user, $this->now))->summary($done->revision))]),
            $done->leftAlone === [] ? '' : __('plan.undone_except', ['titles' => implode(', ', $done->leftAlone)]),
        ]));
    }

    /** Where the tasks lie again whose blocks the change had moved or taken away. */
    private function places(Undone $undone): string
    {
        $changed = array_filter($undone->revision->rows['blocks'] ?? [], static fn (array $row): bool => isset($row['before']['starts_at']) || isset($row['before']['ends_at']));
        $blocks = $this->user->blocks()->ahead($this->now)->whereKey(array_column($changed, 'id'))->with('task')->orderBy('starts_at')->get()->groupBy('task_id');
        $said = [];
        foreach ($blocks->take(self::NAMED) as $some) {
            $said[] = __('plan.undone_where', ['title' => $some[0]->task->title ?? '', 'when' => $some->map(fn (Block $block): string => Times::when($this->user, $block->starts_at, $this->now))->implode(', ')]);
        }
        $more = $blocks->count() - count($said);

        return implode(' ', $more > 0 ? [...$said, trans_choice('plan.undone_more', $more)] : $said);
    }
}
