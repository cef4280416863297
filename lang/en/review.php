<?php

declare(strict_types=1);

return [
    'names' => ['week' => 'The week', 'promises' => 'Promises', 'slipped' => 'Slipped', 'areas' => 'Areas', 'waiting' => 'Waiting', 'someday' => 'Someday', 'next' => 'Next week'],
    'ask' => 'What is not written down yet? What would move this on?',
    'caught' => 'Caught in :area.',
    'closed' => 'The week is closed. It can be read here, and opened again.',
    'open_again' => 'The review is open again.',
    'no_rule' => 'Say which rule it is to become.',
    'prompt_kept' => 'That is what :area is asked from now on.',
    'nudged' => 'The letter to :person lies in the outbox; you are asked again later.',
    'later' => ':title is asked about later.',
    'kept' => ':title stays for someday.',
    'letter' => "Dear :person,\n\nI am waiting for “:what” since :since. Could you tell me when it comes, or what it needs?\n\n:name",
    'rule' => [
        'next' => [
            'after' => 'Keep a quarter of an hour after meetings.', 'careful' => 'Plan with the careful value of estimates.', 'margin' => 'Keep five of a hundred more of each day free.',
            'reserve' => 'Keep half an hour each weekday for what comes up.', 'hours' => 'Open an hour earlier, Monday to Thursday of next week.', 'sooner' => 'Ask two days sooner.',
        ],
        'press' => ['after' => 'Set 15 min after', 'careful' => 'Use careful', 'margin' => 'Margin + 5 %', 'reserve' => 'Reserve 30 min', 'hours' => 'Open earlier', 'sooner' => 'Ask sooner'],
        'said' => [
            'after' => 'Fifteen minutes stay free after each meeting.', 'careful' => 'The plan lays out the careful value of estimates.', 'margin' => 'More of each day stays free.',
            'reserve' => 'Half an hour each weekday at 16:00 is kept for what comes up.', 'hours' => 'Next week opens an hour earlier, Monday to Thursday.', 'sooner' => 'Answers are asked about two days sooner.',
        ],
        'holds' => 'holds already',
        'reserve_title' => 'For what comes up',
        'hours_name' => 'an hour earlier',
    ],
    'missing' => ':what, :when: :missing missing.',
    'fits' => 'All that is due by :until fits under the load lines.',
];
