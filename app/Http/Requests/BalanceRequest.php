<?php

declare(strict_types=1);

namespace App\Http\Requests;

use App\Edits\Unchanged;
use App\Models\Block;
use App\Planning\PlanConflict;
use App\Rows\RowMapper;
use Illuminate\Database\Eloquent\Collection;
use Illuminate\Foundation\Http\FormRequest;

/** Moves of a balanced week that are taken: each a block, its mark, and its new start in minutes. */
final class BalanceRequest extends FormRequest
{
    /** Minutes that a block may be moved by: two weeks. */
    private const FARTHEST = 20_160;

    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return ['moves' => ['required', 'array', 'max:100'], 'moves.*' => ['required', 'string', 'regex:/^\d{1,18}:[0-9a-f]{12}:\d{1,9}$/']];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return ['moves.*' => __('week.move_what'), 'moves.*.regex' => __('week.move_what')];
    }

    /** @return array<int, int> new starts by the block's id */
    public function starts(): array
    {
        return array_map(static fn (array $one): int => (int) $one[2], $this->parts());
    }

    /**
     * @return Collection<int, Block>
     *
     * @throws PlanConflict if one of them was changed elsewhere, or is gone
     */
    public function blocks(): Collection
    {
        $parts = $this->parts();
        $blocks = $this->user()->blocks()->planned()->whereKey(array_keys($parts))->with(['task', 'user'])->get();
        $blocks->count() === count($parts) || throw PlanConflict::gone();
        foreach ($blocks as $block) {
            Unchanged::ensure($block, $parts[$block->id][1]);
            abs((int) $parts[$block->id][2] - RowMapper::start($block)) <= self::FARTHEST && (int) $parts[$block->id][2] % 5 === 0 || throw PlanConflict::tooFar();
        }

        return $blocks;
    }

    /** @return array<int, list<string>> */
    private function parts(): array
    {
        $parts = [];
        foreach ($this->array('moves') as $one) {
            $words = explode(':', is_string($one) ? $one : '::');
            $parts[(int) $words[0]] = $words;
        }

        return $parts;
    }
}
