<?php

declare(strict_types=1);

/* Open time and work due over the coming weeks. */
return [
    'of_project' => '{1} :project|[2,*] :project: :count tasks',
    'due' => 'due',
    'hours_together' => 'All hours together',
    'hours_share' => 'Each set of hours by itself has the time; they share some of it.',
    'milestone' => ':name, milestone',
    'and_more' => '{1} :names and one more|[2,*] :names and :count more',
    'no_crunch' => 'All that is due fits.',
    'crunches' => '{1} One crunch.|[2,*] :count crunches.',
    'nothing_due' => 'Nothing is due in these weeks.',
    'missing' => ':when: :missing missing',
    'done_by' => 'all done by :when as it stands',
    'no_place' => 'as it stands there is no place for all of it',
    'by_deep' => 'deep work under its limit of a day is what is short; :plain',
    'by_deep_too' => 'of open time alone :minutes are missing',
    'by_deep_only' => 'open time would be enough',
    'deep_cut' => 'The deep work due by then, with the light work that must come before it, against what the deep limit of each day leaves.',
    'competing' => 'Due then: :tasks.',
    'earlier' => 'Due earlier: :minutes.',
    'month' => 'Work stands in the open time between meetings; the line is what each day carries. Due dates hang.',
    'beyond' => '{1} One more due date lies later.|[2,*] :count more due dates lie later.',
    'chart' => 'Open time and work due until :until: :open open, :due due.',
];
