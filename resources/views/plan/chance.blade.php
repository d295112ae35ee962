{{-- Whether the class will get an answer from its plan, and what would help most. --}}
@if ($words !== null)
    <p><strong>{{ $words->said() }}</strong> {{ $words->plan() }}</p>
    @if ($words->better() !== null)<p class="mt-1">{{ $words->better() }}</p>@endif
@endif
