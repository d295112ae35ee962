{{-- The plan, what is bought for it and how it is built; what belongs to one of them is in a second line once it is open. --}}
@props(['challenge', 'here'])
@php
    $pages = [
        'rules' => [Text::of('plan.plan_pages.plan'), route('challenges.edit', $challenge)],
        'materials' => [Text::of('plan.plan_pages.materials'), route('materials.show', $challenge)],
        'steps' => [Text::of('plan.plan_pages.build_steps'), route('steps.show', $challenge)],
    ];
    $further = [
        'rules' => [
            'timetable' => [Text::of('plan.plan_pages.timetable'), route('timetable.show', $challenge)],
            'pack' => [Text::of('plan.plan_pages.pack'), route('pack.show', $challenge)],
            'brief-class' => [Text::of('plan.plan_pages.class_brief'), route('brief.show', [$challenge, 'class'])],
            'brief-helpers' => [Text::of('plan.plan_pages.helpers_sheet'), route('brief.show', [$challenge, 'helpers'])],
        ],
        'steps' => [
            'steps' => [Text::of('plan.plan_pages.build_steps'), route('steps.show', $challenge)],
            'cuts' => [Text::of('plan.plan_pages.cut_sizes'), route('cuts.show', $challenge)],
            'templates' => [Text::of('plan.plan_pages.templates'), route('steps.templates', $challenge)],
        ],
    ];
    $first = array_key_first(array_filter($further, fn (array $of): bool => isset($of[$here]))) ?? $here;
@endphp
<nav class="subpages no-print" aria-label="{{ Text::of('plan.plan_pages.pages_of_the_plan') }}">
    <ol>@foreach ($pages as $key => [$name, $address])<li>
            <a href="{{ $address }}" @if ($first === $key) aria-current="{{ $here === $key ? 'page' : 'true' }}" @endif>{{ $name }}</a></li>@endforeach</ol>
    @if (isset($further[$first]) && $here !== 'rules')<ol class="further">@foreach ($further[$first] as $key => [$name, $address])<li>
            <a href="{{ $address }}" @if ($here === $key) aria-current="page" @endif>{{ $name }}</a></li>@endforeach</ol>@endif
</nav>
