{{-- What a form says beside what was typed: the units that stood beside its fields, and which questions were asked of it. --}}
@props(['units'])
<input type="hidden" name="typed_in" value="{{ $units->value }}">
<input type="hidden" name="confirmed" value="{{ session('asked') }}">
