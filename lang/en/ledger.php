<?php

declare(strict_types=1);

return [
    'periods' => ['week' => 'This week', 'last' => 'Last week', 'four' => 'Four weeks', 'month' => 'Month', 'quarter' => 'Quarter', 'cycle' => 'Cycle'],
    'no_project' => 'no project',
    'no_task' => 'of tasks that are gone',
    'no_area' => 'of no area any more',
    'no_context' => 'no context',
    'no_demand' => 'of tasks that are gone',
    'deep' => 'Deep',
    'light' => 'Light',
    'deep_of' => ':area, deep',
    'light_of' => ':area, light',
    'steps' => 'Goals’ steps',
    'all' => 'all',
    'meetings' => 'Meetings',
    'own_work' => 'Own work',
    'promised' => 'promised',
    'well' => [
        'closed' => '{1} 1 of :days days closed|[2,*] :count of :days days closed',
        'kept' => '{1} 1 of :all key tasks kept|[2,*] :count of :all key tasks kept',
        'habit' => '{1} :name once|[2,*] :name :count times',
        'steps' => '{1} 1 step of a goal done|[2,*] :count steps of goals done',
    ],
    'nothing' => 'Nothing was worked in these days.',
    'between' => 'Hours :hours = :accounted accounted + :between between things; lunch is not in them.',
    'without_task' => ':minutes were measured without a task, as in a meeting, and are in no sum of own work.',
    'outside' => ':minutes of work and meetings lie outside the hours.',
    'twice' => ':minutes lie in two of them at once, and count there once.',
    'chance_says' => 'A chance is kept when as many came in time as it said: of :all said to be :percent %, :due were to be expected; :kept came.',
];
