@props(['sentences', 'big' => false])
@foreach ($sentences as $index => $sentence)
    <p @class(['finding' => $big && $index === 0])>
        @if ($sentence->lead !== '')<strong @class(['lead' => $big && $index === 0])><bdi>{{ $sentence->unbroken($sentence->lead) }}</bdi></strong>@endif
        @if ($sentence->rest !== '')<bdi>{{ $sentence->unbroken($sentence->rest) }}</bdi>@endif
        @if ($sentence->small !== '')<span class="small">{{ $sentence->unbroken($sentence->small) }}</span>@endif
    </p>
@endforeach
