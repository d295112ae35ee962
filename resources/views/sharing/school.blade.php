<x-layout :title="$school->name">
    <div class="lead-in"><h2>{{ Text::of('sharing.schools.shared_plans') }}</h2>
        <a class="button" href="{{ route('schools.index') }}">{{ Text::of('sharing.schools.back') }}</a></div>
    @include('sharing.link')
    @if ($school->plans->isEmpty())<p>{{ Text::of('sharing.schools.no_plans') }}</p>@endif
    <ul class="people">
        @foreach ($school->plans as $plan)
            <li><span><bdi>{{ $plan->name }}</bdi> <span class="small">{{ $plan->user_id === $me->id ? '' : Text::of('sharing.schools.of',
                ['name' => $plan->user->name]) }}</span>@if ($plan->question)<span class="small block"><bdi>{{ $plan->question }}</bdi></span>@endif</span>
                <form method="post" action="{{ route('schools.copy', [$school, $plan->id]) }}">@csrf
                    <button class="button">{{ Text::of('sharing.schools.set_one_like_it') }}</button></form></li>
        @endforeach
    </ul>
    <h2 class="mt-8">{{ Text::of('sharing.schools.educators') }}</h2>
    <ul class="people">
        @foreach ($school->members as $member)
            <li><bdi>{{ $member->user->name }}</bdi> @if ($member->user_id === $me->id){{ Text::of('sharing.show.you') }}@endif
                @if ($member->is_head)<span class="small">{{ Text::of('sharing.schools.head') }}</span>@endif
                @if ($isHead && $member->user_id !== $me->id)<form method="post" action="{{ route('schools.dismiss', [$school, $member->user_id]) }}">@csrf
                    @method('delete')<button class="button plain" aria-label="{{ Text::of('sharing.show.dismiss',
                        ['name' => $member->user->name]) }}">{{ Text::of('sharing.show.dismiss_2') }}</button></form>@endif</li>
        @endforeach
    </ul>
    @if ($isHead)
        <form method="post" action="{{ route('schools.invite', $school) }}" class="my-3">@csrf
            <button class="button">{{ Text::of('sharing.schools.invite') }}</button></form>
        @include('sharing.links', ['revoke' => fn ($invitation) => route('schools.revoke', [$school, $invitation])])
    @endif
    <form method="post" action="{{ route('schools.leave', $school) }}" class="mt-8">@csrf @method('delete')
        <button class="button plain">{{ Text::of('sharing.schools.leave') }}</button></form>
</x-layout>
