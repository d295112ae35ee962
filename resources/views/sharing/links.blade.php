{{-- Links that are open, of a challenge or a school. --}}
@props(['invitations', 'revoke'])
@if ($invitations->isNotEmpty())
    <h4 class="mt-4">{{ Text::of('sharing.show.open_links') }}</h4>
    <ul class="people">
        @foreach ($invitations as $invitation)
            <li>{{ Text::of('sharing.show.until', [
                'for' => $invitation->role === null ? Text::of('sharing.schools.educators') : Text::of("sharing.role.{$invitation->role->value}"),
                'date' => $invitation->expires_at->isoFormat('D MMMM'),
            ]) }}
                <form method="post" action="{{ $revoke($invitation) }}">@csrf @method('delete')
                    <button class="button plain">{{ Text::of('sharing.show.revoke') }}</button></form></li>
        @endforeach
    </ul>
@endif
