@props(['challenge', 'record', 'stage'])
@php
    $groups = $record->groups->count();
    $stages = [
        'plan' => [Text::of('frame.stage_line.plan'), route('challenges.edit', $challenge), null, $challenge->safety_read_at !== null],
        'build' => [Text::of('frame.stage_line.build'), route('groups.index', $challenge), "{$record->carsRecorded()}/{$groups}",
            $groups > 0 && $record->carsRecorded() === $groups],
        'check' => [Text::of('frame.stage_line.check'), route('checks.index', $challenge), "{$record->carsChecked()}/{$groups}", $groups > 0
            && $record->carsChecked() === $groups],
        'run' => [Text::of('frame.stage_line.run'), route('runs.show', $challenge), "{$record->countedTries()}/{$record->triesInAll()}",
            $groups > 0 && $record->countedTries() === $record->triesInAll()],
        'findings' => [Text::of('frame.stage_line.findings'), route('findings.show', $challenge), null, false],
    ];
@endphp
<div class="page">
    <nav class="stage-line" aria-label="{{ Text::of('frame.stage_line.stages_of_the_challenge') }}">
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
        @can('update', $challenge)<p class="class-next no-print" data-part="next" data-piece="next"><x-next-thing
            :challenge="$challenge" :record="$record" /></p>@endcan
    </nav>
</div>
