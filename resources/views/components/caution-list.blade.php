@props(['cautions', 'new' => []])
<div class="caution-list">
    @foreach ($cautions as $caution)
        <section>
            <h3>{{ Label::of($caution, 'title') }}@if (in_array($caution, $new, true))
            <span class="small">{{ Text::of('plan.caution_list.new_since_you_read_this_sheet') }}</span>@endif
            </h3>
            <ul>@foreach (Label::lines($caution, 'steps') as $step)<li>{{ $step }}</li>@endforeach</ul>
        </section>
    @endforeach
</div>
<p class="mt-4 prose"><strong>{{ Text::of('plan.caution_list.your_schools_own_risk_assessment_local') }}</strong></p>
