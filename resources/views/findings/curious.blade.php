<x-layout
    :title="Text::of('findings.curious.title', ['challenge' => $challenge->name])" :challenge="$challenge" :record="$record" stage="findings">
    <x-findings-pages :challenge="$challenge" :record="$record" here="curious" :counting="$counting" />
    <div class="lead-in"><div>
        <h2>{{ Text::of('findings.findings_pages.curious') }}</h2><p class="prose mt-1">{{ Text::of('findings.curious.what') }}</p></div></div>
    <dl class="ways">@foreach ($ways as $key => $address)
        <div><dt><a href="{{ $address }}">{{ Text::of("findings.curious.{$key}.name") }}</a></dt>
            <dd>{{ Text::of("findings.curious.{$key}.what") }}</dd></div>@endforeach</dl>
</x-layout>
