<x-layout title="Set a challenge" line="What the class is after, and by which rules. All of it can be changed later.">
    <form method="post" action="{{ route('challenges.store') }}" class="pt-2">
        @csrf
        @if (request('then') === 'sheet' || old('then') === 'sheet')<input type="hidden" name="then" value="sheet">@endif
        @include('challenges.form')
        <p class="actions border-t border-rule py-5">
            <button class="button do">Set the challenge</button>
            <a class="button plain" href="{{ route('challenges.index') }}">Back without saving</a>
        </p>
    </form>
</x-layout>
