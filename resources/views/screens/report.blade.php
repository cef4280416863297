@php $step = $report->scope === 'day' ? 1 : 7; $query = fn (array $with): string => '/reports/'.$report->id.'?'.http_build_query($with + ['date' => $day->asString()] + ($plain ? ['as' => 'plain'] : [])); @endphp
<x-layout :title="$report->name" at="reports">
    <div class="title-row"><h1>{{ $report->name }}</h1><x-says /><span>@if ($hidden){{ trans_choice('report.hidden', $hidden) }}@endif</span>
        <span class="end"><a class="button" href="/reports/{{ $report->id }}?date={{ $day->asString() }}{{ $plain ? '' : '&as=plain' }}" data-page-key="v">{{ $plain ? 'As Markdown' : 'As plain text' }} <kbd>V</kbd></a>
            <a class="button" href="{{ $query(['date' => $day->plusDays(-$step)->asString()]) }}" data-page-key="[">Earlier <kbd>[</kbd></a><a class="button" href="{{ $query(['date' => $day->plusDays($step)->asString()]) }}" data-page-key="]">Later <kbd>]</kbd></a></span></div>
    <div class="project-grid"><div>
        <form method="post" action="/reports/{{ $report->id }}/send" class="report-letter">@csrf
            <div class="pair"><label for="report-to">To</label><input class="field" type="email" id="report-to" name="to" maxlength="200" required value="{{ old('to', $report->to) }}"><label for="report-subject">Subject</label><input class="field" id="report-subject" name="subject" maxlength="250" required value="{{ old('subject', $subject) }}"></div>
            @foreach (['to', 'subject', 'body'] as $name)@error($name)<p class="error" role="alert">{{ $message }}</p>@enderror @endforeach
            <label class="sr-only" for="report-body">The report</label><textarea class="field" id="report-body" name="body" rows="24" maxlength="20000">{{ old('body', $text) }}</textarea>
            <div class="actions"><button class="button button-main">Into the outbox</button><span class="soft">or mark the text and take it elsewhere</span></div></form>
    </div><div><div class="section-head"><h2>What it tells</h2></div><x-report-form :report="$report" :projects="$projects" />
        <form method="post" action="/reports/{{ $report->id }}">@csrf @method('delete')<button class="button button-bare">Take the report away</button></form></div></div>
</x-layout>
