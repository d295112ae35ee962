@props(['challenge', 'here'])
@php
    $pages = [
        'rules' => [Text::of('plan.plan_pages.rules'), route('challenges.edit', $challenge)],
        'materials' => [Text::of('plan.plan_pages.materials'), route('materials.show', $challenge)],
        'cuts' => [Text::of('plan.plan_pages.cut_sizes'), route('cuts.show', $challenge)],
        'steps' => [Text::of('plan.plan_pages.build_steps'), route('steps.show', $challenge)],
        'templates' => [Text::of('plan.plan_pages.templates'), route('steps.templates', $challenge)],
        'timetable' => [Text::of('plan.plan_pages.timetable'), route('timetable.show', $challenge)],
        'safety' => [Text::of('plan.plan_pages.safety',
            ['to_read' => $challenge->safety_read_at === null ? ' ' . Text::of('plan.plan_pages.to_read') : '']),
            route('safety.show', $challenge)],
        'brief-class' => [Text::of('plan.plan_pages.class_brief'), route('brief.show', [$challenge, 'class'])],
        'brief-helpers' => [Text::of('plan.plan_pages.helpers_sheet'), route('brief.show', [$challenge, 'helpers'])],
        'larger' => [Text::of('plan.plan_pages.larger'), route('plan.larger', $challenge)],
    ];
@endphp
<nav class="subpages no-print" aria-label="{{ Text::of('plan.plan_pages.pages_of_the_plan') }}">
    <ol>@foreach ($pages as $key => [$name, $address])<li>
            <a href="{{ $address }}" @if ($here === $key) aria-current="page" @endif>{{ $name }}</a></li>@endforeach</ol>
</nav>
