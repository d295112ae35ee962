<x-layout :title="$group->name" :challenge="$challenge" :record="$record" stage="build" :line="$challenge->question">
    <div class="lead-in"><h2>Name and mark</h2></div>
    <form method="post" action="{{ route('groups.update', [$challenge, $group]) }}" class="max-w-2xl grid gap-5 pb-4">
        @csrf @method('put')
        <x-field name="name" label="Name" :value="$group->name" hint="A name for the group, never a child’s." />
        <fieldset>
            <legend class="field-label mb-2">Mark <span class="optional">(those that are free)</span></legend>
            <div class="mark-choices">
                @foreach ($marks as $mark)
                    <label class="choice"><input type="radio" name="mark" value="{{ $mark }}" @checked(old('mark', $group->mark) === $mark)><span><x-mark :mark="$mark" :label="\Skivo\Core\Challenge\Mark::inWords($mark)" /></span></label>
                @endforeach
            </div>
            @error('mark')<p class="error mt-2">{{ $message }}</p>@enderror
        </fieldset>
        <p class="actions"><button class="button do">Save</button><a class="button" href="{{ route('groups.index', $challenge) }}">Back to the groups</a></p>
    </form>
    <form method="post" action="{{ route('groups.destroy', [$challenge, $group]) }}" class="border-t border-rule py-5">
        @csrf @method('delete')
        <button class="button">Remove this group</button> <span class="small ml-2">With its car and runs. It can be put back.</span>
    </form>
</x-layout>
