{{-- What a line may say, by example. --}}
<dialog id="grammar" aria-labelledby="grammar-title">
    <h2 id="grammar-title">What can be typed</h2>
    <p class="soft">Plain words, in any order. What is understood is bracketed beneath; press it and it stays plain words.</p>
    <dl>
        @foreach ([
            'due' => 'by friday · by 14 march 3pm · by 5 tomorrow · due 26th · by end of month · before noon · within a week',
            'earliest start' => 'from monday · not before 14:00 · after friday · 2 weeks before 1 may',
            'for a day' => 'tomorrow · on tuesday · monday week · next week · mid-april · in 3 days',
            'set time' => 'at 15:00 tomorrow · friday 9am · tonight at 9 · half nine · in half an hour · thursday 9:00–10:30 · from 8:30 till 10',
            'estimate' => 'for 1h30 · 45 min · 15m · two hours · half an hour · 20 to 30 min',
            'repeats' => 'every weekday · every 2 weeks on tuesday · every month on the last friday · mon/wed/fri 7am · fridays 3pm · on the 1st and 15th of each month · until 30 april · 3 days after done',
            'importance' => ', high · vital · importance low · very important',
            'demand' => ', deep · , light',
            'part of the day' => 'tomorrow morning · in the evening',
            'waiting' => 'waiting for Sam · after Kim answers · ask again on monday',
            'project, context' => '+catalogue · +"Opening night" · for lender agreements · @phone',
            'todo.txt keys' => 'due:2026-03-20 · start:monday · for:45min · importance:high · wait:Sam',
            'link' => 'https://example.org/plan.pdf',
            'left as it is' => '“words between quotation marks” · the 5 minute intro · 24 hour plan',
            'many at once' => 'a line each; indented lines become subtasks; list marks and ticked boxes are understood',
        ] as $what => $examples)
            <dt>{{ $what }}</dt><dd>{{ $examples }}</dd>
        @endforeach
    </dl>
    <form method="dialog"><button class="button button-main">Close</button></form>
</dialog>
