@props(['challenge', 'record', 'stage'])
@php
    $groups = $record->groups->count();
    $stages = [
        'plan' => ['Plan', route('challenges.edit', $challenge), null, $challenge->safety_read_at !== null],
        'build' => ['Build', route('groups.index', $challenge), "{$record->carsRecorded()}/{$groups}", $groups > 0 && $record->carsRecorded() === $groups],
        'check' => ['Check', route('checks.index', $challenge), "{$record->carsChecked()}/{$groups}", $groups > 0 && $record->carsChecked() === $groups],
        'bench' => ['Bench', route('bench.index', $challenge), "{$record->carsMeasured()}/{$groups}", $groups > 0 && $record->carsMeasured() === $groups],
        'run' => ['Run', route('runs.show', $challenge), "{$record->countedTries()}/{$record->triesInAll()}", $groups > 0 && $record->countedTries() === $record->triesInAll()],
        'findings' => ['Findings', route('findings.show', $challenge), null, false],
    ];
@endphp
<nav class="page" aria-label="Stages of the challenge">
    <div class="stages" data-part="stages">
        <ol>
            @foreach ($stages as $key => [$name, $address, $progress, $done])
                <li data-stage="{{ $key }}">
                    <a href="{{ $address }}" @class(['done' => $done]) @if ($stage === $key) aria-current="page" @endif>
                        {{ $name }}
                        @if ($progress !== null)<span class="num">{{ $progress }}</span>@endif
                    </a>
                </li>
            @endforeach
        </ol>
    </div>
</nav>
