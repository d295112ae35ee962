<x-layout :title="$group->name" :challenge="$challenge" :record="$record" stage="build" :line="$challenge->question">
    <div class="lead-in"><h2>{{ Text::of('build.group.name_and_mark') }}</h2></div>
    <form method="post" action="{{ route('groups.update', [$challenge, $group]) }}" class="max-w-2xl grid gap-5 pb-4">
        @csrf @method('put')<x-sent-with :units="$challenge->units" />
        <x-field name="name" :label="Text::of('build.group.name')" :value="$group->name" :hint="Text::of('build.group.a_name_for_the_group_never')" />
        @if ($group->of_group_id !== null)<input type="hidden" name="mark" value="{{ $group->mark }}">@else<fieldset>
            <legend class="field-label mb-2">{!! Text::html('build.group.mark_those_that_are_free') !!}</legend>
            <div class="mark-choices">
                @foreach ($marks as $mark)
                    <label class="choice">
                        <input type="radio" name="mark" value="{{ $mark }}"
                            @checked(old('mark', $group->mark) === $mark)><span>{{ Glyph::of($mark, Label::mark($mark)) }}</span>
                    </label>
                @endforeach
            </div>
            @error('mark')<p class="error mt-2">{{ $message }}</p>@enderror
        </fieldset>@endif
        <p class="actions"><button class="button do">{{ Text::of('build.group.save') }}</button><a class="button"
            href="{{ route('groups.index', $challenge) }}">{{ Text::of('build.group.back_to_the_groups') }}</a>
        </p>
    </form>
    <x-group-cars :challenge="$challenge" :record="$record" :group="$group" :to="fn ($car) => route('groups.edit', [$challenge, $car])" />
    <form method="post" action="{{ route('groups.destroy', [$challenge, $group]) }}" class="border-t border-rule py-5">
        @csrf @method('delete')
        <button class="button">{{ Text::of('build.group.remove_this_group') }}</button>
        <span class="small ml-2">{{ Text::of('build.group.with_its_car_and_runs_it') }}</span>
    </form>
</x-layout>
