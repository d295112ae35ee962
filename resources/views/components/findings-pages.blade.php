{{-- The pages of the findings, and on which tries they rest. --}}
@props(['challenge', 'here', 'counting' => null])
@php
    use App\ViewModels\Counting;
    $keep = $counting === null || $counting === Counting::Rule ? [] : ['tries' => $counting->value];
    $pages = [
        'class' => [Text::of('findings.findings_pages.the_class'), route('findings.show', [$challenge] + $keep)],
        'choices' => [Text::of('findings.findings_pages.choice_by_choice'), route('findings.choices', $challenge)],
        'model' => [Text::of('findings.findings_pages.beside_the_model'), route('findings.model', [$challenge] + $keep)],
        'awards' => [Text::of('findings.findings_pages.awards_and_predictions'), route('findings.awards', $challenge)],
        'report' => [Text::of('findings.findings_pages.report'), route('report.show', $challenge)],
    ];
@endphp
<nav class="subpages no-print" aria-label="{{ Text::of('findings.findings_pages.pages_of_the_findings') }}">
    <ol>@foreach ($pages as $key => [$name, $address])<li>
            <a href="{{ $address }}" @if ($here === $key) aria-current="page" @endif>{{ $name }}</a></li>@endforeach</ol>
</nav>
