<?php

declare(strict_types=1);

return [
    'title' => ':name, from :person',
    'sections' => ['done' => 'Done', 'begun' => 'Begun', 'next' => 'Next', 'stuck' => 'Stuck', 'due' => 'Due', 'time' => 'Time', 'meetings' => 'Meetings'],
    'scopes' => ['day' => 'a day', 'week' => 'a week', 'project' => 'a project, this week'],
    'none' => 'nothing',
    'begun_line' => ':title, :worked worked, :left left',
    'waits_line' => ':title, waits for :person',
    'late_line' => ':title, will be late by :late by the plan',
    'due_line' => 'due :when',
    'made' => 'The report :name is kept.',
    'gone' => 'The report :name is gone.',
    'too_many' => 'More than :most reports are too many.',
    'say_name' => 'Give it a name, such as “Our week”.',
    'say_project' => 'Say which project it is of.',
    'say_sections' => 'Choose at least one section.',
    'hidden' => '{1} One private thing is left out.|[2,*] :count private things are left out.',
    'rule' => 'Private areas and contexts are left out, and private meetings.',
];
