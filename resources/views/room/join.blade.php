<x-layout :title="Text::of('device.join.join')" :line="Text::of('device.join.with_the_code_that_the_adult')">
    @if ($formerly !== null)
        <div class="flash mt-4" role="status"><p>@if ($another)
            {!! Text::html('device.join.another_goes_on', ['group' => $formerly->group?->name ?? '']) !!}@else{{
            Text::of('device.join.was_cut_off') }}@endif</p></div>
    @endif
    <form method="post" action="{{ route('join') }}" class="narrow-form py-6">
        @csrf
        <x-field
            name="code" :label="Text::of('device.join.code')" :value="$code" autocapitalize="characters" spellcheck="false"
            class="big-code" maxlength="20" />
        <x-field
            name="name" :label="Text::of('device.join.name_of_this_tablet')" optional maxlength="40"
            :hint="Text::of('device.join.such_as_lane_2_never_a')" />
        <p><button class="button do">{{ Text::of('device.join.join') }}</button></p>
    </form>
</x-layout>
