{{-- What the report prints. --}}
@props(['challenge', 'here', 'say'])
<x-findings-pages :challenge="$challenge" here="report" />
<div class="lead-in no-print">
    <p class="actions">@foreach (['show' => 'Class report', 'notebooks' => 'Notebook sheets', 'certificates' => 'Certificates'] as $page => $name)<a @class(['button', 'plain' => $here !== $page]) href="{{ route("report.{$page}", $challenge) }}" @if ($here === $page) aria-current="page" @endif>{{ $name }}</a>@endforeach</p>
    <p class="actions"><span class="small">{{ $say }}</span><button type="button" class="button do" data-print>Print, or save as PDF</button></p>
</div>
