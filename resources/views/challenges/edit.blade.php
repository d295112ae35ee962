<x-layout :title="'Plan · ' . $challenge->name" :challenge="$challenge" :record="$record" stage="plan">
    <form method="post" action="{{ route('challenges.update', $challenge) }}" class="pt-2">
        @csrf @method('put')
        @include('challenges.form')
        <section class="form-part">
            <h2>On the day</h2>
            <ul class="prose list-disc pl-5 grid gap-1 small">
                <li>Keep the lane and its run-out clear, and keep cars off table edges.</li>
                <li>Ask about latex allergy first; offer latex-free balloons. Nobody shares a mouthpiece: a pump is better.</li>
                <li>Burst and uninflated balloons are a choking hazard to young children: collect every piece.</li>
                <li>Eye protection when filling towards bursting size. Cutting, piercing and hot glue are for an adult, or closely supervised.</li>
                <li>Your school’s own risk assessment, local rules and qualified staff come before anything said here.</li>
            </ul>
        </section>
        <p class="actions border-t border-rule py-5">
            <button class="button do">Save the plan</button>
            <a class="button plain" href="{{ route('groups.index', $challenge) }}">To the groups</a>
        </p>
    </form>
    <form method="post" action="{{ route('challenges.destroy', $challenge) }}" class="border-t border-rule py-5 no-print">
        @csrf @method('delete')
        <button class="button">Remove this challenge</button> <span class="small ml-2">With its groups, cars and runs. It can be put back.</span>
    </form>
</x-layout>
