{{-- What is one tap away on every page of a group's path: its notebook, an adult, the class's floor. --}}
@props(['challenge', 'group', 'wants' => false])
<div class="path-foot no-print">
    <div class="contents" data-part="foot">
    <a class="button" href="{{ route('path.notebook', [$challenge, $group]) }}">{{ Text::of('path.page.notebook') }}</a>
    <form method="post" action="{{ route('path.store', [$challenge, $group]) }}" data-outbox>
        @csrf<input type="hidden" name="kind" value="help"><input type="hidden" name="wants" value="{{ $wants ? '0' : '1' }}">
        <button class="button">{{ $wants ? Text::of('path.page.help_called') : Text::of('path.page.help') }}</button></form>
    </div>
    <p class="outbox-says" data-outbox-says role="status"></p>
</div>
