@php
    [$title, $cure] = match ($code) {
        403, 404 => ['There is nothing here', 'The address may be mistyped, or what was here belongs to another account.'],
        419 => ['This page lay open too long', 'Go back, reload the page and send it again. What you typed is still in its fields.'],
        429 => ['Too many attempts', 'Wait a minute, then try again.'],
        507 => ['There is no room left on the disk', 'Nothing was stored, and what was stored before is safe. Free some room on the machine that serves Skivo, then send it again.'],
        503 => ['Skivo is being updated', 'Try again in a minute. Nothing is lost.'],
        default => ['Something went wrong on our side', 'What you had stored is safe. Go back and try again; if it happens again, restart Skivo.'],
    };
@endphp
<x-layout :title="$title">
    <div class="py-10 prose">
        <p>{{ $cure }}</p>
        <p class="small mt-2">{{ $code }}</p>
        <p class="mt-5"><a class="button do" href="/">To the challenges</a></p>
    </div>
</x-layout>
