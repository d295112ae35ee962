<x-layout :title="Text::of('challenge.create.set_a_challenge')" :line="Text::of('challenge.create.what_the_class_is_after_and')">
    <form method="post" action="{{ route('challenges.store') }}" class="pt-2">
        @csrf
        @if (request('then') === 'sheet' || old('then') === 'sheet')<input type="hidden" name="then" value="sheet">@endif
        @include('challenges.form')
        <p class="actions border-t border-rule py-5">
            <button class="button do">{{ Text::of('challenge.create.set_the_challenge') }}</button>
            <a class="button plain" href="{{ route('challenges.index') }}">{{ Text::of('challenge.create.back_without_saving') }}</a>
        </p>
    </form>
</x-layout>
