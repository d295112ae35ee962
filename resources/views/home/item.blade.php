{{-- One thing that came from home, in a line. --}}
<strong>{{ Text::of("home.kind.{$item->kind}") }}</strong>
@if (isset($item->payload['distance']))<span class="num">{{ $item->payload['distance'] }}</span>@endif
@foreach (\App\Pages\Home\HomeItemRequest::CHOICES as $choice)
    @if (isset($item->payload[$choice->value]))<span class="small">{{ Label::of($choice) }} <bdi>{{ $item->payload[$choice->value] }}</bdi></span>@endif
@endforeach
@if (isset($item->payload['text']))<bdi>{{ $item->payload['text'] }}</bdi>@endif
