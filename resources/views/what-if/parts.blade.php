@php
    use Skivo\Core\Car\PartKind;
    $units = $challenge->units;
    $shown = fn ($value, $scale) => $scale === null ? rtrim(rtrim(number_format($value, 3), '0'), '.') : $units->show($value, $scale, 1);
    $kind = PartKind::tryFrom(old('kind', request()->string('kind')->toString())) ?? PartKind::Wheel;
@endphp
<x-layout :title="'Parts · ' . $challenge->name" :challenge="$challenge" :record="$record" stage="build" :line="$challenge->question">
    <div class="lead-in">
        <div><h2>The parts list</h2><p class="small prose mt-1">What the run model takes where a car has not been measured. Add parts of your own for this challenge; one with the name of a listed part takes its place.</p></div>
        <a class="button" href="{{ route('what-if.show', $challenge) }}">To the What-if bench</a>
    </div>
    <x-errors />
    @foreach (PartKind::cases() as $each)
        <section class="form-part">
            <h2>{{ $each->label() }}</h2>
            <div class="scroll-x" tabindex="0" role="region" aria-label="{{ $each->label() }}">
                <table class="figures-table">
                    <thead><tr><th scope="col">Name</th>@foreach ($each->fields() as [$label])<th scope="col" class="num">{{ $label }}</th>@endforeach<th scope="col" class="verdict">Where it comes from</th><th scope="col"><span class="sr-only">Remove</span></th></tr></thead>
                    <tbody>
                        @foreach ($catalogue->of($each) as $part)
                            @php($mine = $own->first(fn ($own) => $own->kind === $each && $own->name === $part->name))
                            <tr>
                                <th scope="row"><bdi>{{ $part->name }}</bdi></th>
                                @foreach ($each->fields() as $key => [, $scale])<td class="num">{{ $shown($part->value($key), $scale) }}</td>@endforeach
                                <td class="small verdict">{{ $part->origin }}</td>
                                <td>@if ($mine)<form method="post" action="{{ route('parts.destroy', [$challenge, $mine]) }}">@csrf @method('delete')<button class="button plain" aria-label="Remove {{ $part->name }}">Remove</button></form>@endif</td>
                            </tr>
                        @endforeach
                    </tbody>
                </table>
            </div>
        </section>
    @endforeach
    <section class="form-part" id="add">
        <h2>Add your own</h2>
        <div>
            <p class="actions mb-4">@foreach (PartKind::cases() as $each)<a class="button" href="{{ route('parts.index', [$challenge, 'kind' => $each->value]) }}#add" @if ($each === $kind) aria-current="true" @endif>{{ $each->label() }}</a>@endforeach</p>
            <form method="post" action="{{ route('parts.store', $challenge) }}">
                @csrf<x-sent-with :units="$challenge->units" />
                <input type="hidden" name="kind" value="{{ $kind->value }}">
                <div class="form-grid">
                    <x-field name="name" :label="'Name (' . mb_strtolower($kind->label()) . ')'" maxlength="80" />
                    @foreach ($kind->fields() as $key => [$label, $scale])
                        <x-field :name="$key" :label="$label" inputmode="text" :optional="$kind->isOptional($key)" :hint="($scale === null ? 'a number' : 'in ' . \App\Wording\Phrase::unit($units->unit($scale)) . ' unless you type a unit') . ($kind->isOptional($key) ? '; left empty: ' . ($key === 'hub_m' ? 'as at the rim' : $shown(\Skivo\Core\Car\Catalogue::standard()->usual($kind)->value($key), $scale) . ', as usual') : '')" />
                    @endforeach
                </div>
                <p class="mt-4"><button class="button do">Add it</button></p>
            </form>
        </div>
    </section>
</x-layout>
