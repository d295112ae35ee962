{{-- What the report prints. --}}
@props(['challenge', 'record', 'here', 'say'])
<x-findings-pages :challenge="$challenge" :record="$record" here="report" />
<div class="lead-in no-print">
    <p class="actions">
        @foreach (['show' => Text::of('report.report_pages.class_report'), 'notebooks' => Text::of('report.report_pages.notebook_sheets'),
            'certificates' => Text::of('report.report_pages.certificates')] as $page => $name)<a
            @class(['button', 'plain' => $here !== $page]) href="{{ route("report.{$page}", $challenge) }}"
            @if ($here === $page) aria-current="page" @endif>{{ $name }}</a>@endforeach
    </p>
    <p class="actions"><span class="small">{{ $say }}</span><button type="button" class="button do"
        data-print>{{ Text::of('report.report_pages.print_or_save_as_pdf') }}</button>
    </p>
</div>
