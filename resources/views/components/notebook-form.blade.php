{{-- A note or a wish. What is typed stays on the tablet until it is in the notebook. --}}
@props(['kind', 'challenge', 'group', 'label', 'isNamed' => false])
<form method="post" action="{{ route('path.store', [$challenge, $group]) }}" class="notebook-form" data-outbox="add">
    @csrf<input type="hidden" name="kind" value="{{ $kind }}">
    <label for="f-{{ $kind }}-text" class="{{ $isNamed ? 'sr-only' : 'field-label' }}">{{ $label }}</label>
    <textarea id="f-{{ $kind }}-text" name="text" class="input" maxlength="1000" data-draft="{{ $kind }}"></textarea>
    <p><button class="button">{{ Text::of('path.page.save') }}</button></p>
</form>
