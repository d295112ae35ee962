<x-layout
    :title="Text::of('report.notebooks.notebook_sheets', ['challenge' => $challenge->name])" :challenge="$challenge"
    :record="$record" stage="findings" :line="$challenge->question">
    <x-report-pages :challenge="$challenge" :record="$record" here="notebooks"
        :say="$groups->count() === 1 ? Text::of('report.one_page') : Text::of('report.a_page_each')" />
    @if ($record->groups->count() > 1)<p class="small no-print pb-3">@if ($groups->count() === 1)<a
        href="{{ route('report.notebooks', $challenge) }}">{{ Text::of('report.notebooks.all_groups') }}</a> @else
    {{ Text::of('report.notebooks.one_alone') }} @endif
    @foreach ($record->groups as $each)<a
        href="{{ route('report.notebooks', [$challenge, 'group' => $each->id]) }}"><bdi>{{ \Illuminate\Support\Str::limit($each->name,
        30) }}</bdi></a>{{ $loop->last ? '' : ' · ' }}@endforeach
    </p>@endif
    @if ($groups->isEmpty())<p class="prose pb-6">{{ Text::of('report.notebooks.there_are_no_groups_yet') }}</p>@endif
    @include('paper.notebooks')
</x-layout>
