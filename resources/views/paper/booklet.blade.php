{{-- The steps on small pages, two on a side, to fold and lay into each other. --}}
@php
    $pages = $words->pages();
    $kit = \App\Pages\Plan\MaterialWords::kit($plan->materials(), $challenge->units);
@endphp
<div class="booklet" tabindex="0" role="region" aria-label="{{ Text::of('steps.page.booklet') }}">
    @foreach ($words->sides() as $side => $halves)
        <section class="booklet-side" aria-label="{{ Text::of('steps.booklet.side', ['n' => $loop->iteration]) }}">
            @foreach ($halves as $page)
                <article class="booklet-page" @if ($page !== null) data-page="{{ $page }}" @endif>
                    @if ($page === 1)
                        <h2>{{ Text::of('steps.booklet.cover') }}</h2>
                        <p class="booklet-title">{{ $challenge->name }}</p>
                        @if ($challenge->question)<p class="booklet-question">{{ $challenge->question }}</p>@endif
                        <x-cover-car :layout="$layout" />
                        <p class="booklet-line">{{ Text::of('steps.booklet.group') }}</p><p class="booklet-line">{{ Text::of('steps.booklet.our_car') }}</p>
                        <h3>{{ Text::of('steps.booklet.in_the_bag') }}</h3>
                        <ul class="booklet-kit">@foreach ($kit as [$name, $count])<li><span class="tick-box" aria-hidden="true"></span>
                            <span class="num">{{ $count }} ×</span> <bdi>{{ $name }}</bdi></li>@endforeach</ul>
                        <p class="small">{{ Text::of('steps.booklet.adult_first') }}</p>
                    @elseif ($page !== null)
                        <ol class="booklet-steps">@foreach ($pages[$page - 2] as $task)
                            <x-build-step :task="$task" :words="$words" :layout="$layout" :units="$challenge->units" small />@endforeach</ol>
                        <p class="booklet-number num">{{ $page }}</p>
                    @else
                        <h2>{{ Text::of('steps.booklet.what_happened') }}</h2>
                        <table class="booklet-runs"><thead><tr>
                            <th scope="col">{{ Text::of('steps.booklet.try') }}</th><th scope="col">{{ Text::of('steps.booklet.our_guess') }}</th>
                            <th scope="col">{{ Text::of('steps.booklet.it_went') }}</th></tr></thead>
                            <tbody>@foreach (range(1, $challenge->tries) as $try)<tr>
                                <td class="num">{{ $try }}</td><td></td><td></td></tr>@endforeach</tbody>
                        </table>
                        <p>{{ Text::of('steps.booklet.next_time') }}</p>
                    @endif
                </article>
            @endforeach
        </section>
    @endforeach
</div>
