<x-layout :title="Text::of('sharing.schools.title')">
    <p class="prose small py-4">{{ Text::of('sharing.schools.what') }}</p>
    <x-errors />
    @if ($schools->isEmpty())<p>{{ Text::of('sharing.schools.none') }}</p>@endif
    <ul class="people">
        @foreach ($schools as $school)
            <li><a href="{{ route('schools.show', $school) }}"><bdi>{{ $school->name }}</bdi></a>
                <span class="small">{{ Text::of('sharing.schools.count', ['members' => Text::plural('sharing.schools.members', $school->members_count),
                    'plans' => Text::plural('sharing.schools.plans', $school->plans_count)]) }}</span></li>
        @endforeach
    </ul>
    <h2 class="mt-8">{{ Text::of('sharing.schools.set_up') }}</h2>
    <form method="post" action="{{ route('schools.store') }}" class="narrow-form mt-3">@csrf
        <x-field name="name" :label="Text::of('sharing.schools.name')" maxlength="120" />
        <p class="actions"><button class="button do">{{ Text::of('sharing.schools.do') }}</button></p></form>
</x-layout>
