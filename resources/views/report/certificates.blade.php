@php($words = new \App\Pages\Report\CertificateWords($reading))
<x-layout
    :title="Text::of('report.certificates.certificates', ['challenge' => $challenge->name])" :challenge="$challenge"
    :record="$record" stage="findings" :line="$challenge->question">
    <x-report-pages :challenge="$challenge" :record="$record" here="certificates" :say="Text::of('report.one_a_page')" />
    @if ($record->groups->isNotEmpty())
        <details class="disclosure pb-5 no-print" @if ($errors->any()) open @endif><summary>{{ Text::of('report.certificates.of_your_own') }}</summary>
            <form method="post" action="{{ route('report.awards', $challenge) }}" class="form-grid narrow mt-2">
                @csrf @method('put')
                <x-field name="award_title" :label="Text::of('report.certificates.title')" maxlength="60" :hint="Text::of('report.certificates.title_hint')" />
                <div class="field"><label for="f-award_group">{{ Text::of('run.index.group') }}</label>
                    <select id="f-award_group" name="award_group" class="input">@foreach ($record->groups as $group)<option value="{{ $group->id }}"
                        @selected((string) old('award_group') === (string) $group->id)>{{ $group->name }}</option>@endforeach</select></div>
                <p class="self-end"><button class="button">{{ Text::of('report.certificates.add_it') }}</button></p>
            </form>
        </details>
    @endif
    @if ($reading->certificates === [] && $challenge->own_awards === [])<p
        class="prose pb-6">{{ Text::of('report.certificates.no_award_has_a_first_yet') }}</p>@endif
    <div class="certificates">
        @foreach ($reading->certificates as $certificate)
            <x-certificate
                :challenge="$challenge" :title="$words->title($certificate)" :group="$reading->group($certificate->group)"
                :score="$words->score($certificate)" :said="$words->beside($certificate)" />
        @endforeach
        @foreach ($challenge->own_awards as $index => $own)
            @php($group = $record->groups->firstWhere('id', $own['group']))
            @continue($group === null)
            <x-certificate :challenge="$challenge" :title="$own['title']" :group="$group">
                <form method="post" action="{{ route('report.awards', $challenge) }}" class="no-print">@csrf @method('put')
                    <button class="button plain" name="remove" value="{{ $index }}"
                        aria-label="{{ Text::of('report.certificates.remove_label', ['title' => $own['title'], 'group' => $group->name]) }}"
                        >{{ Text::of('report.certificates.remove') }}</button></form>
            </x-certificate>
        @endforeach
    </div>
</x-layout>
