<?php

declare(strict_types=1);

return [
    'groups' => ['none' => 'not grouped', 'area' => 'by area', 'project' => 'by project', 'context' => 'by context', 'part' => 'by part of the day', 'due' => 'by due date', 'importance' => 'by importance', 'stage' => 'by where it is'],
    'orders' => ['pull' => 'most pull', 'due' => 'due first', 'importance' => 'importance', 'estimate' => 'shortest', 'longest' => 'longest', 'area' => 'own order of areas', 'context' => 'own order of contexts', 'project' => 'project', 'oldest' => 'oldest', 'newest' => 'newest', 'title' => 'title'],
    'conditions' => [
        'due' => ['heading' => 'Due', 'due:overdue' => 'overdue', 'due:today' => 'due today', 'due:tomorrow' => 'due by tomorrow', 'due:week' => 'due within 7 days', 'due:fortnight' => 'due within 14 days', 'due:any' => 'with a due date', 'due:none' => 'without a date', 'due:hard' => 'with a hard due date'],
        'day' => ['heading' => 'Day', 'picked:today' => 'picked for today', 'picked:any' => 'picked', 'set:any' => 'with a set time', 'start:later' => 'not to begin yet'],
        'estimate' => ['heading' => 'Estimate', 'estimate:5' => 'at most 5 min', 'estimate:15' => 'at most 15 min', 'estimate:30' => 'at most 30 min', 'estimate:60' => 'at most 1 h', 'estimate:120' => 'at most 2 h', 'estimate:none' => 'without an estimate'],
        'importance' => ['heading' => 'Importance', 'importance:4' => 'vital', 'importance:3' => 'high or more', 'importance:2' => 'medium or more', 'importance:1' => 'low or more', 'importance:none' => 'unweighed'],
        'demand' => ['heading' => 'Demand', 'demand:deep' => 'deep', 'demand:light' => 'light'],
        'part' => ['heading' => 'Part of the day', 'part:morning' => 'for the morning', 'part:afternoon' => 'for the afternoon', 'part:evening' => 'for the evening', 'part:any' => 'with a part of the day'],
        'stage' => ['heading' => 'Where it is', 'stage:inbox' => 'in the inbox', 'stage:open' => 'to be done', 'stage:waiting' => 'waiting', 'stage:someday' => 'for someday', 'stage:reference' => 'kept as a note', 'done:yes' => 'done', 'let_go:yes' => 'let go'],
        'waiting' => ['heading' => 'Waiting', 'ask:due' => 'to be asked again', 'waiting:any' => 'waiting for somebody'],
        'other' => ['heading' => 'Other', 'carried:1' => 'carried over', 'carried:4' => 'carried over four times or more', 'repeats:yes' => 'a routine', 'push:urgent' => 'treated as urgent', 'push:back' => 'held back', 'files:any' => 'with files', 'subtasks:any' => 'with subtasks', 'new:week' => 'caught within 7 days', 'project:none' => 'in no project', 'context:none' => 'without a context'],
    ],
    'headings' => ['area' => 'Area', 'project' => 'Project', 'context' => 'Context'],
    'prefix' => ['area' => 'in ', 'project' => 'of ', 'context' => 'at '],
    'sentence' => 'Tasks :what; :group; :order.',
    'all_kinds' => 'of all kinds',
    'not' => 'not :what',
    'and' => ' and ',
    'or' => ', or ',
    'then' => ', then ',
    'gone' => 'something that is gone',
    'shipped' => ['cannot-wait' => "Can't wait", 'under-15-minutes' => 'Under 15 minutes', 'ask-again' => 'Waiting, ask again', 'parts-of-the-day' => 'By part of the day', 'without-routines' => 'Without routines', 'no-date' => 'No date', 'someday' => 'Someday', 'notes' => 'Notes', 'let-go' => 'Let go', 'done' => 'Done'],
    'in_no' => ['project' => 'In no project', 'context' => 'Without a context', 'part' => 'Any time of the day', 'due' => 'No date'],
    'stages' => ['inbox' => 'Inbox', 'open' => 'To be done', 'waiting' => 'Waiting', 'someday' => 'Someday', 'reference' => 'Notes'],
];
