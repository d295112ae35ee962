{{-- The pages of the findings, and on which tries they rest. What only the curious want is one page further. --}}
@props(['challenge', 'record', 'here', 'counting' => null])
@php
    use App\Pages\Findings\CuriousPages;
    use App\Record\Counting;
    $keep = $counting === null || $counting === Counting::Rule ? [] : ['tries' => $counting->value];
    $curious = CuriousPages::of($challenge, $record, $counting)->ways;
    $pages = [
        'answer' => [Text::of('findings.findings_pages.the_answer'), route('findings.show', [$challenge] + $keep)],
        'work' => [Text::of('findings.findings_pages.why_it_stopped'), route('findings.work', [$challenge] + $keep)],
        'awards' => [Text::of('findings.findings_pages.awards'), route('findings.awards', $challenge)],
        'report' => [Text::of('findings.findings_pages.report'), route('report.show', $challenge)],
        'curious' => [Text::of('findings.findings_pages.curious'), route('findings.curious', [$challenge] + $keep)],
    ];
    $first = isset($pages[$here]) ? $here : 'curious';
@endphp
<nav class="subpages no-print" aria-label="{{ Text::of('findings.findings_pages.pages_of_the_findings') }}">
    <ol>@foreach ($pages as $key => [$name, $address])<li>
            <a href="{{ $address }}" @if ($first === $key) aria-current="{{ $here === $key ? 'page' : 'true' }}" @endif>{{ $name }}</a></li>@endforeach</ol>
    @if ($first !== $here)<ol class="further">@foreach ($curious as $key => $address)<li>
            <a href="{{ $address }}" @if ($here === $key) aria-current="page" @endif>{{
                Text::of("findings.curious.{$key}.name") }}</a></li>@endforeach</ol>@endif
</nav>
