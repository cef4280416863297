<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Find\Question;
use App\Find\Shipped;
use App\Http\Requests\ViewRequest;
use App\Models\SavedView;
use App\Models\User;
use App\Screens\Frame\Frame;
use App\Screens\View\ViewScreen;
use App\Screens\View\ViewsScreen;
use App\Time\Clock;
use Illuminate\Container\Attributes\CurrentUser;
use Illuminate\Contracts\View\View;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;

/** Saved views. */
final readonly class ViewController
{
    public function index(#[CurrentUser] User $user, ViewsScreen $screen): View
    {
        return view('screens.views', $screen->of($user));
    }

    public function show(Request $request, string $view, #[CurrentUser] User $user, ViewScreen $screen): View
    {
        $own = ctype_digit($view) ? $user->savedViews()->findOrFail($view) : null;
        $question = $own === null ? (Shipped::question($view) ?? abort(404)) : Question::of($own->question);

        return view('screens.view', ['view' => $own, 'address' => $view, 'title' => $own === null ? Shipped::names()[$view] : $own->name] + $screen->of($user, $question, Clock::now(), $request->boolean('all'), $request->query('face') === null ? $question->face === 'sums' : $request->query('face') === 'sums')->toArray());
    }

    /** Building one by choosing; what is chosen so far is in the address. */
    public function build(Request $request, #[CurrentUser] User $user, ViewScreen $screen): View
    {
        $own = $request->filled('view') ? $user->savedViews()->findOrFail($request->integer('view')) : null;
        $data = $request->has('conditions') || $request->has('group') ? $request->query() : ($own === null ? ['conditions' => [['what' => 'stage:open']]] : $own->question);

        $question = Question::of($data);
        $asked = $question->asArray();

        return view('screens.build', ['own' => $own, 'rows' => max(count($asked['conditions']) + 1, 2)] + $asked + $screen->of($user, $question, Clock::now(), false, $question->face === 'sums')->toArray());
    }

    public function store(ViewRequest $request, #[CurrentUser] User $user): RedirectResponse
    {
        $own = $request->filled('view') ? $user->savedViews()->findOrFail($request->integer('view')) : $user->savedViews()->make(['position' => $user->savedViews()->count()]);
        $own->fill($request->columns())->save();

        return redirect("/views/{$own->id}")->with('status', __('task.view_kept', ['title' => $own->name]));
    }

    public function update(Request $request, SavedView $saved, #[CurrentUser] User $user): RedirectResponse
    {
        $saved->update(['pinned' => $request->boolean('pinned')]);
        $more = $saved->pinned && $user->savedViews()->where('pinned', true)->count() > Frame::PINNED;

        return back()->with('status', __($more ? 'task.view_pinned_more' : ($saved->pinned ? 'task.view_pinned' : 'task.view_unpinned'), ['title' => $saved->name, 'most' => Frame::PINNED]));
    }

    public function destroy(SavedView $saved): RedirectResponse
    {
        $saved->delete();

        return redirect('/views')->with('status', __('task.view_gone', ['title' => $saved->name]));
    }
}
