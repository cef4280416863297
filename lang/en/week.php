<?php

declare(strict_types=1);

/* Seven days as tapes. */
return [
    'latest_end' => ':title, latest end :time',
    'no_hours' => 'no hours set',
    'no_open_time' => 'no open time',
    'bar' => ':planned of a load line of :line, :open open',
    'empty' => 'Nothing is laid out yet. What is weighed and estimated gets its day in the week\'s run, or in Shape.',
    'nothing' => 'nothing yet',
    'move_what' => 'Choose the blocks that are to move. Nothing was changed.',
    'move_where' => 'That is too far for the week. Nothing was changed.',
    'balanced_already' => 'Each day to come carries no more than its load line and its deep limit: there is nothing to balance.',
    'balance_none' => 'What could go has no room on another day of this week. What can wait until next week, or longer hours, would help.',
    'balance_still' => ':days would still be over.',
];
