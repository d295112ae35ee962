{{-- The pages of the findings, and on which tries they rest. --}}
@props(['challenge', 'record', 'here', 'counting' => null])
@php
    use App\Record\Counting;
    $keep = $counting === null || $counting === Counting::Rule ? [] : ['tries' => $counting->value];
    $pages = [
        'answer' => [Text::of('findings.findings_pages.the_answer'), route('findings.show', [$challenge] + $keep)],
        'work' => [Text::of('findings.findings_pages.why_it_stopped'), route('findings.work', [$challenge] + $keep)],
        'choices' => [Text::of('findings.findings_pages.all_choices'), route('findings.choices', $challenge)],
        'sources' => [Text::of('findings.findings_pages.sources'), route('findings.sources', [$challenge] + $keep)],
        'beliefs' => [Text::of('findings.findings_pages.some_say'), route('findings.beliefs', [$challenge] + $keep)],
        'sure' => [Text::of('findings.findings_pages.how_sure'), route('findings.sure', [$challenge] + $keep)],
        'awards' => [Text::of('findings.findings_pages.awards_and_predictions'), route('findings.awards', $challenge)],
        'classes' => [Text::of('library.classes.title'), route('findings.classes', $challenge)],
        'report' => [Text::of('findings.findings_pages.report'), route('report.show', $challenge)],
    ];
    // Only where there is something to compare.
    $pages = $challenge->asks === null ? array_diff_key($pages, ['classes' => true]) : $pages;
    $pages = $here === 'sources' || $record->hasSeveralSources() ? $pages : array_diff_key($pages, ['sources' => true]);
@endphp
<nav class="subpages no-print" aria-label="{{ Text::of('findings.findings_pages.pages_of_the_findings') }}">
    <ol>@foreach ($pages as $key => [$name, $address])<li>
            <a href="{{ $address }}" @if ($here === $key) aria-current="page" @endif>{{ $name }}</a></li>@endforeach</ol>
</nav>
