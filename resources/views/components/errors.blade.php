{{-- Every problem, each a link to its field; the first field has the focus (js/errors.js). --}}
@if ($errors->any())
    <div class="caution" role="alert" data-problems data-of-field="{{ Text::of('frame.errors.of_field', ['field' => ':field', 'problem' => ':problem']) }}">
        <p>
            {!! Text::html('frame.errors.nothing_was_saved_and_nothing_you', [
                'things' => $errors->count() === 1 ? Text::of('frame.errors.one_thing_to_look_at') :
                Text::of('frame.errors.things_to_look_at', ['count' => $errors->count()]),
            ]) !!}
        </p>
        <ul class="problems">
            @foreach ($errors->messages() as $field => $messages)
                @foreach ($messages as $message)<li><a href="#f-{{ $field }}" data-problem="{{ $field }}">{{ $message }}</a></li>@endforeach
            @endforeach
        </ul>
        @if ($slot->isNotEmpty()){{ $slot }}@endif
    </div>
@endif
