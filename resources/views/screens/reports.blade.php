<x-layout title="Reports" at="reports">
    <div class="title-row"><h1>Reports</h1><x-says /><span>what is told to others again and again, ready to be changed before it goes</span></div>
    <div class="project-grid"><div>
        <ul class="inbox" data-list>@foreach ($reports as $report)<li id="report-{{ $report->id }}" class="report-row"><a class="review-title" href="/reports/{{ $report->id }}" data-row>{{ $report->name }}</a> <span class="soft">of {{ $report->scope === 'project' ? $report->project?->name : __("report.scopes.{$report->scope}") }}: {{ implode(', ', array_map(fn ($one) => mb_strtolower(__("report.sections.{$one}")), explode(',', $report->sections))) }}{{ $report->to ? ", to {$report->to}" : '' }}@if ($report->remind_at !== null), reminds {{ $report->remind_on ? App\Wording\Dates::of($person)->weekday($report->remind_on) : 'every day' }} at {{ App\Wording\Times::ofDay($person, $report->remind_at) }}@endif</span></li>@endforeach</ul>
        @if ($reports->isEmpty())<div class="empty"><h2>No report yet</h2><p class="soft">Choose once what somebody is told – done, next, stuck – and it is put together whenever it is asked for.</p></div>@endif
        <p class="soft">{{ __('report.rule') }} Private now: {{ implode(', ', [...$private['areas'], ...$private['contexts']]) ?: 'none' }}. <a href="/settings/areas">Change that in Settings</a></p>
    </div><div><div class="section-head"><h2>A new report</h2></div><x-report-form :projects="$projects" /></div></div>
</x-layout>
