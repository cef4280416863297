<?php

declare(strict_types=1);

return [
    'groups' => ['none' => 'one list', 'answer' => 'by answer', 'due' => 'by date', 'project' => 'by project', 'area' => 'by area'],
    'axis' => ['late' => 'late', 'today' => 'today', 'week' => 'this week', 'fortnight' => 'next two weeks', 'later' => 'later', 'none' => 'no date'],
    'answers' => ['do_now' => 'Do now', 'make_time' => 'Make time', 'hand_off' => 'Hand off', 'let_go' => 'Let go'],
];
