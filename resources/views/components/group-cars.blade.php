{{-- All cars of a group: which one this page is about, which one counts for awards, and one more. --}}
@props(['challenge', 'record', 'group', 'to', 'locked' => false])
@php($cars = $record->groups->filter(fn ($each) => $each->team() === $group->team())->values())
<details class="disclosure pb-3" data-part="our-cars" @if ($cars->count() > 1 || $errors->has('car_name')) open @endif>
    <summary>{{ Text::of('device.group.our_cars') }}</summary>
    @if ($cars->count() > 1)
        <ul class="group-cars">
            @foreach ($cars as $car)
                <li>
                    @if ($car->id === $group->id)<strong><bdi>{{ $car->name }}</bdi></strong>@else
                        <a href="{{ $to($car) }}"><bdi>{{ $car->name }}</bdi></a>@endif
                    @if ($car->is_nominated)<span class="small">{{ Text::of('device.group.counts_for_awards') }}</span>
                    @elseif (! $locked)
                        <form method="post" action="{{ route('groups.nominate', [$challenge, $car]) }}">@csrf @method('put')
                            <button class="button plain" aria-label="{{ Text::of('device.group.let_count_label', ['car' => $car->name]) }}"
                                >{{ Text::of('device.group.let_count') }}</button></form>
                    @endif
                </li>
            @endforeach
        </ul>
        <p class="small">{{ Text::of('device.group.all_count_in_findings') }}</p>
    @endif
    @unless ($locked)
        <form method="post" action="{{ route('groups.cars.store', [$challenge, $group]) }}" class="prediction mt-2">
            @csrf<x-sent-with :units="$challenge->units" />
            <x-field name="car_name" :label="Text::of('device.group.another_car')" maxlength="40" />
            <button class="button">{{ Text::of('device.group.add_the_car') }}</button>
        </form>
    @endunless
</details>
