{{-- One line of the plan: what is set, and the fields behind it. --}}
@props(['name', 'said'])
<details class="plan-line" @if ($errors->any()) open @endif>
    <summary><span class="plan-line-name">{{ $name }}</span><bdi class="plan-line-said">{{ $said }}</bdi></summary>
    <div class="plan-line-fields grid gap-4">{{ $slot }}</div>
</details>
