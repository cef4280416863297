<?php

declare(strict_types=1);

return [
    'caught' => 'caught: :source',
    'let_go' => 'let go',
    'brought_back' => 'brought back',
    'done' => 'done',
    'opened_again' => 'opened again',
    'set' => ':what: :to',
    'changed' => ':what: :to, before :from',
    'taken_away' => ':what taken away, before :from',
    'names' => [
        'title' => 'name', 'stage' => 'moved to', 'importance' => 'importance', 'push' => 'push', 'due_on' => 'due', 'due_at' => 'due', 'due_hard' => 'due date', 'not_before' => 'not before',
        'estimate' => 'estimate', 'said' => 'left', 'demand' => 'demand', 'area_id' => 'area', 'project_id' => 'project', 'picked_on' => 'picked for', 'set_at' => 'set for',
        'part' => 'part of the day', 'waiting_for' => 'waiting for', 'ask_on' => 'ask again', 'return_on' => 'shown again',
    ],
];
