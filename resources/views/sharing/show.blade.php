@php
    use App\Models\Invitation;
    use Skivo\Core\People\MemberRole;
    $me = auth()->user();
    $isOwner = $challenge->isOwnedBy($me);
@endphp
<x-layout :title="Text::of('sharing.show.title', ['challenge' => $challenge->name])" :challenge="$challenge" :record="$record">
    <div class="lead-in"><div><h2>{{ Text::of('sharing.show.educators') }}</h2>
        <p class="small prose mt-1">{{ Text::of('sharing.show.who_may') }}</p></div></div>
    <x-errors />
    @include('sharing.link')
    <ul class="people">
        <li><bdi>{{ $challenge->user->name }}</bdi> @if ($isOwner){{ Text::of('sharing.show.you') }}@endif
            <span class="small">{{ Text::of('sharing.show.owner') }}</span></li>
        @foreach ($challenge->members as $member)
            <li><bdi>{{ $member->user->name }}</bdi> @if ($member->user_id === $me->id){{ Text::of('sharing.show.you') }}@endif
                <span class="small">{{ Text::of("sharing.role.{$member->role->value}") }}</span>
                @if ($isOwner)<form method="post" action="{{ route('sharing.dismiss', [$challenge, $member->user_id]) }}">@csrf @method('delete')
                    <button class="button plain" aria-label="{{ Text::of('sharing.show.dismiss',
                        ['name' => $member->user->name]) }}">{{ Text::of('sharing.show.dismiss_2') }}</button></form>@endif</li>
        @endforeach
    </ul>
    @if ($isOwner)
        <h3 class="mt-6">{{ Text::of('sharing.show.invite') }}</h3>
        <p class="prose small">{{ Text::of('sharing.show.invite_how', ['days' => Invitation::DAYS]) }}</p>
        <form method="post" action="{{ route('sharing.invite', $challenge) }}" class="actions my-3">@csrf
            <button class="button" name="role" value="{{ MemberRole::CoTeacher->value }}">{{ Text::of('sharing.show.invite_co') }}</button>
            <button class="button" name="role" value="{{ MemberRole::Observer->value }}">{{ Text::of('sharing.show.invite_observer') }}</button></form>
        @include('sharing.links', ['revoke' => fn ($invitation) => route('sharing.revoke', [$challenge, $invitation])])
        <h3 class="mt-6">{{ Text::of('sharing.show.schools') }}</h3>
        <p class="prose small">{{ Text::of('sharing.show.schools_why') }}</p>
        @if ($schools->isEmpty())<p class="my-2">{!! Text::html('sharing.show.no_school', ['schools' => route('schools.index')]) !!}</p>@endif
        @foreach ($schools as $school)
            @php($isShared = in_array($school->id, $sharedWith, true))
            <form method="post" action="{{ route('sharing.plan', [$challenge, $school]) }}" class="my-2">@csrf @method('put')
                <button class="button" name="share" value="{{ $isShared ? 0 : 1 }}">{{ $isShared
                    ? Text::of('sharing.show.unshare', ['school' => $school->name])
                    : Text::of('sharing.show.share', ['school' => $school->name]) }}</button></form>
        @endforeach
    @else
        <p class="my-4">{{ Text::of('sharing.show.only_the_owner', ['name' => $challenge->user->name]) }}</p>
        <form method="post" action="{{ route('sharing.leave', $challenge) }}" data-own>@csrf @method('delete')
            <button class="button">{{ Text::of('sharing.show.leave') }}</button></form>
    @endif
</x-layout>
