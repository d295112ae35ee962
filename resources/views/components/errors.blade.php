{{-- Every problem, each a link to its field; the first field has the focus (js/errors.js). --}}
@if ($errors->any())
    <div class="caution" role="alert" data-problems>
        <p><strong>{{ $errors->count() === 1 ? 'One thing to look at.' : $errors->count() . ' things to look at.' }}</strong> Nothing was saved, and nothing you typed is lost.</p>
        <ul class="problems">
            @foreach ($errors->messages() as $field => $messages)
                @foreach ($messages as $message)<li><a href="#f-{{ $field }}" data-problem="{{ $field }}">{{ $message }}</a></li>@endforeach
            @endforeach
        </ul>
        @if ($slot->isNotEmpty()){{ $slot }}@endif
    </div>
@endif
