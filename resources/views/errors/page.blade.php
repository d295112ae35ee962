@php
    [$title, $cure] = match ($code) {
        403, 404 => [Text::of('errors.page.there_is_nothing_here'), Text::of('errors.page.the_address_may_be_mistyped_or')],
        419 => [Text::of('errors.page.this_page_lay_open_too_long'), Text::of('errors.page.go_back_reload_the_page_and')],
        429 => [Text::of('errors.page.too_many_attempts'), Text::of('errors.page.wait_a_minute_then_try_again')],
        507 => [Text::of('errors.page.there_is_no_room_left_on'), Text::of('errors.page.nothing_was_stored_and_what_was')],
        503 => [Text::of('errors.page.skivo_is_away'), Text::of('errors.page.try_again_in_a_minute_nothing')],
        default => [Text::of('errors.page.something_went_wrong_on_our_side'), Text::of('errors.page.what_you_had_stored_is_safe')],
    };
@endphp
<x-layout :title="$title">
    <div class="py-10 prose">
        <p>{{ $cure }}</p>
        <p class="small mt-2">{{ $code }}</p>
        <p class="mt-5"><a class="button do" href="/">{{ Text::of('errors.page.to_the_challenges') }}</a></p>
    </div>
</x-layout>
