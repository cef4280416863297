<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Calendars\ByHand;
use App\Calendars\Removal;
use App\Http\Requests\OwnMeetingRequest;
use App\ICalendar\UnreadableCalendar;
use App\Models\Occurrence;
use App\Models\PlanRevision;
use App\Models\User;
use App\Time\Clock;
use App\Time\Moments;
use App\Wording\Rules;
use App\Wording\Said;
use App\Wording\Times;
use Illuminate\Container\Attributes\CurrentUser;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;

/** Meetings that the person writes down. */
final readonly class OwnMeetingController
{
    public function __construct(private ByHand $hand, private Said $said, #[CurrentUser] private User $user) {}

    public function store(OwnMeetingRequest $request): RedirectResponse
    {
        $own = $request->own();
        if ($this->user->meetings()->whereNotNull('by_hand')->whereNull('gone_at')->count() >= ByHand::MOST) {
            return back()->withInput()->withErrors(['line' => __('meetings.own.too_many', ['count' => ByHand::MOST])]);
        }

        return $this->made($request, fn (): ?PlanRevision => $this->hand->add($this->user, $own, Clock::now()), __('meetings.own.made', [
            'title' => $own->title, 'when' => $own->minute === null ? Times::day($this->user, $own->start(), Clock::now()) : Times::range($this->user, $own->start(), $own->start() + $own->minutes, Clock::now()),
            'place' => $own->place === null ? '' : ", {$own->place}", 'again' => $own->rule === null ? '' : ', '.Rules::inWords($own->rule),
        ]));
    }

    public function update(OwnMeetingRequest $request, Occurrence $occurrence): RedirectResponse
    {
        $this->own($occurrence);

        return $this->made($request, fn (): ?PlanRevision => $this->hand->change($this->user, $occurrence, $request->as(), $request->rule(), $request->boolean('whole'), Clock::now()), __('meetings.saved', ['title' => $request->as()['title']]));
    }

    public function destroy(Request $request, Occurrence $occurrence): RedirectResponse
    {
        $this->own($occurrence);
        $revision = $this->hand->remove($this->user, $occurrence, $request->enum('what', Removal::class) ?? Removal::One, Clock::now());
        $day = $this->user->local(Moments::moment(Moments::minute($occurrence->starts_at)))->format('Y-m-d');

        return redirect("/shape/{$day}")->with($this->said->about($revision, __('meetings.own.gone', ['title' => $occurrence->summary])));
    }

    /** @param  \Closure(): ?PlanRevision  $change */
    private function made(Request $request, \Closure $change, string $said): RedirectResponse
    {
        try {
            return back()->with($this->said->about($change(), $said));
        } catch (UnreadableCalendar $error) {
            return back()->withInput()->withErrors([$request->has('line') ? 'line' : 'repeat' => $error->getMessage()]);
        }
    }

    private function own(Occurrence $occurrence): void
    {
        abort_if($occurrence->meeting()->value('by_hand') === null, 404);
    }
}
