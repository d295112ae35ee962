{{-- A moment: in UTC as it leaves the server, in the reader's own time once the page is there. --}}
@props(['at'])
<time datetime="{{ $at->toIso8601ZuluString() }}" data-local>{{ $at->format('j M H:i') }} UTC</time>
