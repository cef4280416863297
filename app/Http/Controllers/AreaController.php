<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Models\Area;
use App\Models\Context;
use App\Models\User;
use Illuminate\Container\Attributes\CurrentUser;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Validation\Rule;

/** Areas and contexts, with their own order. */
final readonly class AreaController
{
    public function store(Request $request, #[CurrentUser] User $user): RedirectResponse
    {
        $count = $user->areas()->count();
        $user->areas()->create($request->validate($this->rules($user, null), ['name.*' => __('settings.area_name')]) + ['hue' => Area::HUES[$count % count(Area::HUES)], 'position' => $count, 'hours_set_id' => $user->hoursSets()->firstOrFail()->id]);

        return back()->with('status', __('settings.saved'));
    }

    public function update(Request $request, Area $area, #[CurrentUser] User $user): RedirectResponse
    {
        $data = $request->validate($this->rules($user, $area) + ['move' => ['sometimes', 'in:up']], ['name.*' => __('settings.area_name')]);
        if (isset($data['move'])) {
            $this->up($user->areas()->get()->all(), $area->id);
        } else {
            $area->update($data);
        }

        return back()->with('status', __('settings.saved'));
    }

    /** Only an area that nothing belongs to. */
    public function destroy(Area $area, #[CurrentUser] User $user): RedirectResponse
    {
        if ($user->areas()->count() < 2 || $user->tasks()->withTrashed()->where('area_id', $area->id)->exists() || $user->projects()->withTrashed()->where('area_id', $area->id)->exists()) {
            return back()->withErrors(['area' => __('settings.area_in_use', ['name' => $area->name])]);
        }
        $area->delete();

        return back()->with('status', __('settings.saved'));
    }

    public function storeContext(Request $request, #[CurrentUser] User $user): RedirectResponse
    {
        $data = $request->validate(['context' => ['required', 'string', 'max:100']], ['context.*' => __('settings.context_name')]);
        $user->contexts()->firstOrCreate(['name' => ltrim((string) $data['context'], '@')], ['position' => $user->contexts()->count()]);

        return back()->with('status', __('settings.saved'));
    }

    public function updateContext(Context $context, #[CurrentUser] User $user): RedirectResponse
    {
        $this->up($user->contexts()->get()->all(), $context->id);

        return back()->with('status', __('settings.saved'));
    }

    public function destroyContext(Context $context): RedirectResponse
    {
        $context->delete();

        return back()->with('status', __('settings.saved'));
    }

    /** @param  array<int, Area|Context>  $rows  in their order; the one with the id goes up a place */
    private function up(array $rows, int $id): void
    {
        $rows = array_values($rows);
        foreach ($rows as $i => $row) {
            if ($row->id === $id && $i > 0) {
                [$rows[$i - 1], $rows[$i]] = [$rows[$i], $rows[$i - 1]];
            }
        }
        foreach ($rows as $position => $row) {
            $row->update(['position' => $position]);
        }
    }

    /** @return array<string, list<mixed>> */
    private function rules(User $user, ?Area $area): array
    {
        return [
            'name' => [$area === null ? 'required' : 'sometimes', 'string', 'max:100', Rule::unique('areas')->where('user_id', $user->id)->ignore($area?->id)],
            'hue' => ['sometimes', Rule::in(Area::HUES)],
            'hours_set_id' => ['sometimes', Rule::exists('hours_sets', 'id')->where('user_id', $user->id)],
        ];
    }
}
