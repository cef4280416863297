<?php

declare(strict_types=1);

namespace App\Calendars;

use App\Models\Calendar;
use App\Models\OutboxMail;
use App\Models\User;
use App\Post\PostMail;
use App\Wording\Times;
use Carbon\CarbonImmutable;

/** A letter to whoever keeps a calendar that cannot be read: to the organizer of most of its meetings, or else to the person. */
final readonly class WriteToKeeper
{
    public function __construct(private PostMail $post) {}

    public function __invoke(User $user, Calendar $calendar, CarbonImmutable $now): OutboxMail
    {
        $keeper = $calendar->meetings()->whereNotNull('organizer')->whereNotIn('organizer', $user->calendarAddresses())->toBase()
            ->groupBy('organizer')->orderByRaw('count(*) desc')->value('organizer');

        return $this->post->letter($user, is_string($keeper) ? $keeper : $user->email, __('calendars.keeper.subject', ['name' => $calendar->name]), __('calendars.keeper.body', [
            'name' => $calendar->name, 'since' => Times::when($user, $calendar->failing_since ?? $now, $now), 'why' => $calendar->why ?? '', 'address' => (string) $calendar->address, 'person' => $user->name,
        ]), $now);
    }
}
