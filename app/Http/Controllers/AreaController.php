<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Edits\Positions;
use App\Http\Requests\AreaRequest;
use App\Http\Requests\ContextRequest;
use App\Http\RuleChange;
use App\Models\Area;
use App\Models\Context;
use App\Models\User;
use Illuminate\Container\Attributes\CurrentUser;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;

/** Areas and contexts, with their own order. */
final readonly class AreaController
{
    public function store(AreaRequest $request, #[CurrentUser] User $user): RedirectResponse
    {
        $count = $user->areas()->count();
        $user->areas()->create($request->columns() + ['hue' => Area::HUES[$count % count(Area::HUES)], 'position' => $count, 'hours_set_id' => $user->hoursSets()->firstOrFail()->id]);

        return back()->with('status', __('settings.saved'));
    }

    /** Other hours move the work of the area; the plan follows. */
    public function update(AreaRequest $request, Area $area, #[CurrentUser] User $user, RuleChange $change): RedirectResponse
    {
        return $change($request, static fn () => $request->filled('move') ? Positions::up($user->areas()->get()->all(), $area->id) : $area->update($request->columns()), __('settings.saved'), '/settings/areas', __('settings.area_change', ['name' => $area->name]));
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

    public function storeContext(ContextRequest $request, #[CurrentUser] User $user): RedirectResponse
    {
        $user->contexts()->firstOrCreate(['name' => $request->name()], ['position' => $user->contexts()->count()]);

        return back()->with('status', __('settings.saved'));
    }

    /** Up in its order, or private or not. */
    public function updateContext(Request $request, Context $context, #[CurrentUser] User $user): RedirectResponse
    {
        $request->has('private') ? $context->update(['private' => $request->boolean('private')]) : Positions::up($user->contexts()->get()->all(), $context->id);

        return back()->with('status', __('settings.saved'));
    }

    public function destroyContext(Context $context): RedirectResponse
    {
        $context->delete();

        return back()->with('status', __('settings.saved'));
    }
}
