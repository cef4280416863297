<?php

declare(strict_types=1);

return [
    'title_required' => 'A task needs a name.',
    'unknown_date' => 'There is no such date. Write it as 2026-03-13 or choose it.',
    'unknown_time' => 'No clock shows that time. Write it as 14:30.',
    'time_without_date' => 'A due time needs a date. Give both, or only the date.',
    'chunks' => 'The shortest block must not be longer than the longest.',
    'saved' => ':title is saved.',
    'sent_to_weigh' => ':title waits in Weigh.',
    'let_go' => ':title is let go.',
];
