{{-- What lies between the cars with the least of the asked attribute and those with the most, in pieces on one tape. --}}
@props(['drawing'])
@if ($drawing !== null)
<figure class="shares">
    <figcaption>{{ Text::of('findings.shares.figure') }}</figcaption>
    <div class="grid gap-1" role="img" aria-label="{{ $drawing->said() }}">
    @foreach ($drawing->rows as $row)
        <div @class(['shares-row', $row['kind']])><span class="shares-name">{{ $row['name'] }}</span>
            <svg class="shares-lane" aria-hidden="true"><rect class="shares-piece" x="{{ $row['from'] }}%" width="{{ $row['width'] }}%" height="100%" /></svg>
            <span class="shares-by num">{{ $row['by'] }}</span></div>
    @endforeach
    </div>
</figure>
@endif
