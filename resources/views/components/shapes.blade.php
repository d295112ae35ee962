{{-- Shapes of a drawing that is made from a list of them. --}}
@props(['shapes'])
@foreach ($shapes as $shape)
    <{{ $shape->tag }}
        @foreach ($shape->attributes as $name => $value) {{ $name }}="{{ $value }}"@endforeach>{{ $shape->text }}</{{ $shape->tag }}>
@endforeach
