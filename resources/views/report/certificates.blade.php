@php
    use App\Presenters\GoalWords;
    use App\Presenters\Lists;
    use Skivo\Core\Statistics\Verdict;
    $units = $challenge->units;
    $names = $record->groups->keyBy('id');
    $certificates = [];
    foreach ($challenge->allAwards() as $award) {
        $standings = $record->standingsFor($award);
        $first = array_values(array_filter($standings->places, fn ($place) => $place->rank === 1));
        // Whom the tries can't tell from the first stands beside it, with a certificate of the same award.
        $leading = $first === [] ? [] : [...$first, ...array_filter($standings->tooCloseToLeader(), fn ($place) => $place->rank !== 1)];
        foreach ($leading as $place) {
            $beside = array_values(array_filter($leading, fn ($each) => $each !== $place));
            $certificates[] = [
                'group' => $names[(int) $place->entrant->id],
                'title' => ucfirst(GoalWords::award($award, $units)),
                'score' => $units->show($place->score, $award->goal->scale()),
                'said' => $beside === [] ? null
                    : Text::of('report.certificates.side_by_side_with',
                    ['beside' => Lists::and(array_map(fn ($each) => $names[(int) $each->entrant->id]->name, $beside))]),
            ];
        }
    }
    $best = array_key_first($predictions->foresights);
    if ($best !== null) {
        $certificates[] = ['group' => $names[$best], 'title' => Text::of('report.certificates.best_foresight'),
            'score' => Text::of('report.certificates.off_on_average',
            ['typical_miss' => $units->show($predictions->foresights[$best]->typicalMiss(), \Skivo\Core\Measurement\Scale::Distance)]),
            'said' => null];
    }
@endphp
<x-layout
    :title="Text::of('report.certificates.certificates', ['challenge' => $challenge->name])" :challenge="$challenge"
    :record="$record" stage="findings" :line="$challenge->question">
    <x-report-pages :challenge="$challenge" here="certificates" :say="Text::of('report.one_a_page')" />
    @if ($certificates === [])<p class="prose pb-6">{{ Text::of('report.certificates.no_award_has_a_first_yet') }}</p>@endif
    <div class="certificates">
        @foreach ($certificates as $certificate)
            <article class="certificate">
                <p class="certificate-place">{{ $challenge->name }}</p>
                <h2>{{ $certificate['title'] }}</h2>
                <p class="certificate-group with-mark">{{ Glyph::of($certificate['group']->mark) }}<span>{{ $certificate['group']->name }}</span>
                </p>
                <p class="certificate-score num">{{ $certificate['score'] }}</p>
                @if ($certificate['said'] !== null)<p>{{ $certificate['said'] }}</p>@endif
                <svg class="certificate-tape" viewBox="0 0 600 30" aria-hidden="true">
                    <rect width="600" height="30" />@for ($i = 0; $i <= 60; $i++)
                    <line x1="{{ 10 * $i }}" x2="{{ 10 * $i }}" y1="0" y2="{{ $i % 10 === 0 ? 30 : ($i % 5 === 0 ? 16 : 9) }}" />
                    @endfor</svg>
                <div class="certificate-foot"><span>{{ Text::of('report.certificates.date') }}</span><span>{{ Text::of('report.certificates.signed') }}</span>
                </div>
            </article>
        @endforeach
    </div>
</x-layout>
