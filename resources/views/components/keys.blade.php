{{-- All keys, shown by "?". --}}
<dialog id="keys" aria-labelledby="keys-title">
    <h2 id="keys-title">Keys</h2>
    <dl>
        @foreach ([
            '.' => 'catch a thought',
            ', g   , w   , s   , k   , c' => 'to Gather, Weigh, Shape, Work, Close',
            '↑ ↓' => 'move among items',
            '← →' => 'the day before, the day after',
            'Enter' => 'the main action; on a block, why it is here',
            '1 2 3 4' => 'importance, low to vital',
            't  m' => 'due date; minutes, on a block how much is left',
            'p' => 'give a task of the bank the first free time of the day',
            'a' => 'anchor a block, or release it',
            'k' => 'on a block, a key task of the day, or not',
            'x' => 'split a block in two',
            'd' => 'done',
            'i' => 'in Work: nothing but the task',
            'j' => 'go through the morning',
            'Shift ↑ ↓' => 'move a block by 5 minutes; Enter sets it down, Esc leaves it',
            'Shift ← →' => 'shorten or lengthen it',
            'q  e  z  c' => 'do now, make time, hand off, let go',
            'g  b' => 'project; waiting for somebody',
            's  r  k  o  f' => 'someday, note; make mail a task, put it off, file it; in Work k is a break, o more time',
            'v' => 'Weigh as a list, as a field',
            'n' => 'search',
            'Space' => 'choose an item among several; in Work start or pause the clock',
            'y  w' => 'propose a day; what can wait',
            'l' => 'lay it out',
            'u' => 'undo',
            'Esc' => 'leave',
            '?' => 'this list',
        ] as $key => $meaning)
            <dt><span class="key">{{ $key }}</span></dt><dd>{{ $meaning }}</dd>
        @endforeach
    </dl>
    <form method="dialog"><button class="button button-main">Close</button></form>
</dialog>
