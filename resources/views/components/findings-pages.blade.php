{{-- The pages of the findings, and on which tries they rest. --}}
@props(['challenge', 'here', 'counting' => null])
@php
    use App\Reading\Counting;
    $keep = $counting === null || $counting === Counting::Rule ? [] : ['tries' => $counting->value];
    $pages = [
        'class' => ['The class', route('findings.show', [$challenge] + $keep)],
        'choices' => ['Choice by choice', route('findings.choices', $challenge)],
        'model' => ['Beside the model', route('findings.model', [$challenge] + $keep)],
        'awards' => ['Awards and predictions', route('findings.awards', $challenge)],
        'report' => ['Report', route('report.show', $challenge)],
    ];
@endphp
<nav class="subpages no-print" aria-label="Pages of the findings">
    <ol>@foreach ($pages as $key => [$name, $address])<li><a href="{{ $address }}" @if ($here === $key) aria-current="page" @endif>{{ $name }}</a></li>@endforeach</ol>
</nav>
