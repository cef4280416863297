<?php

declare(strict_types=1);

namespace App\Http\Requests;

use App\Edits\Unchanged;
use App\Models\Block;
use App\Planning\PlanConflict;
use Illuminate\Database\Eloquent\Collection;
use Illuminate\Foundation\Http\FormRequest;

/** Several blocks, and by how much they are to move; each with the mark it was seen with. */
final class MoveTogetherRequest extends FormRequest
{
    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return [
            'blocks' => ['required', 'string', 'max:4000', 'regex:/^\d+(:[\w.-]*)?(,\d+(:[\w.-]*)?)*$/'],
            'days' => ['required', 'integer', 'between:-60,60'],
            'minutes' => ['required', 'integer', 'between:-1440,1440'],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return ['blocks.*' => __('week.move_what'), 'days.*' => __('week.move_where'), 'minutes.*' => __('week.move_where')];
    }

    /**
     * By start, those that are there still.
     *
     * @return Collection<int, Block>
     *
     * @throws PlanConflict if one of them was changed elsewhere, or is gone
     */
    public function blocks(): Collection
    {
        $marks = [];
        foreach (explode(',', $this->string('blocks')->toString()) as $one) {
            [$id, $mark] = explode(':', $one, 2) + [1 => ''];
            $marks[(int) $id] = $mark;
        }
        $blocks = $this->user()->blocks()->planned()->whereKey(array_keys($marks))->with(['task', 'user'])->orderBy('starts_at')->get();
        count($blocks) === count($marks) || throw PlanConflict::gone();
        foreach ($blocks as $block) {
            Unchanged::ensure($block, $marks[$block->id] === '' ? null : $marks[$block->id]);
        }

        return $blocks;
    }
}
