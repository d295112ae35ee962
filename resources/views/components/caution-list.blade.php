@props(['cautions', 'new' => []])
<div class="caution-list">
    @foreach ($cautions as $caution)
        <section>
            <h3>{{ $caution->title() }}@if (in_array($caution, $new, true)) <span class="small">new since you read this sheet</span>@endif</h3>
            <ul>@foreach ($caution->steps() as $step)<li>{{ $step }}</li>@endforeach</ul>
        </section>
    @endforeach
</div>
<p class="mt-4 prose"><strong>Your school’s own risk assessment, local rules and qualified staff come before anything said here.</strong></p>
