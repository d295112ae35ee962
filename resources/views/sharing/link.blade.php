{{-- A link that was just made: what it opens can't be found out again. --}}
@if (session('link'))
    <div class="flash" role="status"><span>{{ Text::of('sharing.show.new_link') }}
        <a class="num" href="{{ session('link') }}">{{ session('link') }}</a></span></div>
@endif
