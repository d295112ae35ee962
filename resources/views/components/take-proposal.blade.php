{{-- A proposal for the timetable, taken by one click: everything else stays as it is. --}}
@props(['challenge', 'plan', 'says', 'changes'])
<form method="post" action="{{ route('timetable.update', $challenge) }}" class="take-proposal">
    @csrf @method('put')
    @foreach ($changes + App\Pages\Plan\PlanWords::typed($plan) as $name => $value)
    <input type="hidden" name="{{ $name }}" value="{{ $value }}">@endforeach
    <span>{{ $says }}</span>
    <button class="button no-print"
        aria-label="{{ Text::of('plan.timetable.take_it_label', ['proposal' => $says]) }}">{{ Text::of('plan.timetable.take_it') }}</button>
</form>
