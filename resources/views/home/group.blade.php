@php
    use App\Pages\Home\HomeItemRequest;
    use Skivo\Core\Measurement\Scale;
    $group = $link?->group;
    $units = $group?->challenge->units;
    $sent = old('kind');
@endphp
<x-layout :title="Text::of('home.group.title', ['group' => $group->name ?? 'Skivo'])" :line="$link === null ? null : Text::of('home.group.line')">
    @if ($link === null)
        <p class="py-8 prose">{{ Text::of('home.group.opens_nothing') }}</p>
    @else
        <p class="small py-3">{{ Text::of('home.group.until', ['date' => $link->ends_at->isoFormat('D MMMM')]) }} {{ Text::of('home.group.careful') }}</p>
        <x-errors />
        <div class="library home-page">
            <article><h2>{{ Text::of('home.group.a_run') }}</h2>
                <form method="post" action="{{ route('home', $token) }}">@csrf<x-sent-with :units="$units" /><input type="hidden" name="kind" value="run">
                    <x-field name="distance" :label="Text::of('home.group.how_far')" inputmode="decimal" :scale="Scale::Distance" :units="$units" />
                    <fieldset class="mt-3"><legend>{{ Text::of('home.group.what_was_different') }}</legend>
                        <p class="small">{{ Text::of('home.group.only_if') }}</p>
                        @foreach (HomeItemRequest::CHOICES as $choice)<x-field
                            :name="$choice->value" :label="Label::title($choice)" inputmode="decimal" :scale="$choice->scale()" :units="$units" />@endforeach
                    </fieldset>
                    <div class="field mt-3"><label for="run-text">{{ Text::of('home.group.words') }}</label>
                        <textarea id="run-text" name="text" class="input" maxlength="1000" rows="2">{{ $sent === 'run' ? old('text') : '' }}</textarea></div>
                    <p class="actions"><button class="button do">{{ Text::of('home.group.send_run') }}</button></p></form></article>
            <article><h2>{{ Text::of('home.group.a_note') }}</h2>
                <form method="post" action="{{ route('home', $token) }}">@csrf<input type="hidden" name="kind" value="note">
                    <div class="field"><label for="note-text">{{ Text::of('home.group.words') }}</label>
                        <textarea id="note-text" name="text" class="input" maxlength="1000" rows="3">{{ $sent === 'note' ? old('text') : '' }}</textarea></div>
                    <p class="actions"><button class="button">{{ Text::of('home.group.send_note') }}</button></p></form>
                <h2 class="mt-6">{{ Text::of('home.group.a_photo') }}</h2>
                <form method="post" action="{{ route('home', $token) }}" enctype="multipart/form-data">@csrf<input type="hidden" name="kind" value="photo">
                    <x-field name="photo" type="file" :label="Text::of('home.group.a_photo')" accept="image/*" :hint="Text::of('home.group.photo_how')" />
                    <p class="actions"><button class="button">{{ Text::of('home.group.send_photo') }}</button></p></form></article>
            <article><h2>{{ Text::of('home.group.sent') }}</h2>
                @if ($link->items->isEmpty())<p>{{ Text::of('home.group.nothing_yet') }}</p>@endif
                <ul class="people">@foreach ($link->items as $item)<li>@include('home.item', ['item' => $item])
                    <span class="small">{{ Text::of($item->accepted_at !== null ? 'home.state.accepted' : ($item->refused_at !== null
                        ? 'home.state.refused' : 'home.state.waits')) }}</span></li>@endforeach</ul></article>
        </div>
    @endif
</x-layout>
