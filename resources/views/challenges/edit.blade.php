<x-layout :title="'Plan · ' . $challenge->name" :challenge="$challenge" :record="$record" stage="plan">
    <x-plan-pages :challenge="$challenge" here="rules" />
    <form method="post" action="{{ route('challenges.update', $challenge) }}" class="pt-2">
        @csrf @method('put')
        @include('challenges.form')
        <p class="actions border-t border-rule py-5">
            <button class="button do">Save the rules</button>
            <a class="button plain" href="{{ route('materials.show', $challenge) }}">To the materials</a>
        </p>
    </form>
    <form method="post" action="{{ route('challenges.destroy', $challenge) }}" class="border-t border-rule py-5 no-print">
        @csrf @method('delete')
        <button class="button">Remove this challenge</button> <span class="small ml-2">With its groups, cars and runs. It can be put back.</span>
    </form>
</x-layout>
