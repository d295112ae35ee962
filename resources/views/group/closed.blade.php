<x-layout
    :title="$group->name" :challenge="$challenge" :record="$record" :heading="$group->name" :line="$challenge->question ?? $challenge->name" live="page">
    <x-path-head :challenge="$challenge" :group="$group" :own="$own" :words="$words" :here="$here" />
    <h2>{{ Text::of("path.station.{$here->value}") }}</h2>
    <x-path-foot :challenge="$challenge" :group="$group" :wants="$own->wantsAdult" />
</x-layout>
