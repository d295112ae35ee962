<x-layout :title="Text::of('device.cards.title', ['challenge' => $challenge->name])" :challenge="$challenge" :record="$record" stage="run">
    <div class="lead-in no-print"><div class="prose"><h2>{{ Text::of('device.cards.table_cards') }}</h2>
        <p class="small">{{ Text::of('device.cards.one_for_each_table', ['day' => Moment::dayAndTime($code->expires_at)]) }}</p>
        @if ($addresses === [])<x-tablets-command />@endif</div>
        <p class="actions"><button type="button" class="button do" data-print>{{ Text::of('device.cards.print') }}</button>
            <a class="button plain" href="{{ route('devices.index', $challenge) }}">{{ Text::of('frame.layout.tablets_and_the_board') }}</a></p></div>
    @if ($record->groups->isEmpty())<p>{{ Text::of('path.join.no_groups') }}</p>@endif
    @include('paper.cards')
</x-layout>
