<x-layout :title="Text::of('sharing.invited.title')">
    <div class="py-8 prose">
        @if ($invitation === null)
            <p>{{ Text::of('sharing.invited.opens_nothing') }}</p>
        @else
            <p>{!! $invitation->challenge === null
                ? Text::html('sharing.invited.to_school', ['name' => $invitation->user->name, 'school' => $invitation->school->name])
                : Text::html('sharing.invited.to_challenge', ['name' => $invitation->user->name, 'challenge' => $invitation->challenge->name,
                    'role' => Text::of("sharing.role.{$invitation->role->value}")]) !!}</p>
            <form method="post" action="{{ route('invited.accept', $token) }}" class="mt-4">@csrf
                <button class="button do">{{ Text::of('sharing.invited.come_in') }}</button></form>
        @endif
    </div>
</x-layout>
