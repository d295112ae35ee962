{{-- What stands in a group's notebook, in the order of time. --}}
@props(['notebook', 'challenge', 'group', 'words'])
@php
    use App\Models\Car;
    use App\Models\Entry;
    use App\Models\Prediction;
    use App\Models\Run;
    use App\Language\CarWords;
    use App\Language\RunWords;
    use Illuminate\Support\Str;
    use Skivo\Core\Car\Check\CheckItem;
    use Skivo\Core\Notebook\EntryKind;
    use Skivo\Core\Measurement\Scale;
    $units = $challenge->units;
@endphp
@if ($notebook->lines === [])<p class="prose">{{ $words->say('notebook.empty') }}</p>@endif
<ol class="notebook-lines">@foreach ($notebook->lines as ['at' => $at, 'what' => $what, 'before' => $before])
    <li class="notebook-line"><p class="small notebook-at">{{ Moment::of($at) }}</p><div>
        @if ($what instanceof Car)
            <h3>{{ $before === null ? Text::of('path.page.our_car') : Text::of('path.page.version', ['n' => $what->version]) }}</h3>
            <p>{{ $before === null ? CarWords::brief($what->choices, $units) : CarWords::change($before->choices, $what->choices, $units) }}</p>
            @if ($what->reason)<p>“<bdi>{{ $what->reason }}</bdi>”</p>@endif
        @elseif ($what instanceof Run)
            <p><strong>{{ Str::after(RunWords::summary($what, $units), ', ') }}</strong>@if ($what->note) <bdi>{{ $what->note }}</bdi>@endif</p>
        @elseif ($what instanceof Prediction)
            <p>{{ Text::of('path.page.we_guessed', ['distance' => $units->show($what->distance->quantity->si(), Scale::Distance), 'try' => $what->try]) }}
                @if ($what->direction){{ $words->say("direction.{$what->direction->value}") }}.@endif
                    @if ($what->reason)“<bdi>{{ $what->reason }}</bdi>”@endif</p>
        @elseif ($what instanceof Entry)
            @if ($what->kind === EntryKind::Check)<p>{{ Text::of('path.page.we_checked', [
                'what' => Label::inside(CheckItem::tryFrom($what->text('item')) ?? CheckItem::Spin),
            ]) }}</p>@endif
            @if ($what->kind === EntryKind::Wish)<p>{{ Text::of('path.page.we_wish') }} <bdi>{{ $what->text() }}</bdi></p>@endif
            @if ($what->kind === EntryKind::Note)<p><bdi>{{ $what->text() }}</bdi></p>@endif
            @if ($what->kind === EntryKind::Sketch && $what->sketch() !== null)<x-sketch :sketch="$what->sketch()" />@endif
            @if ($what->kind === EntryKind::Photo && $what->picture !== null)<figure class="notebook-photo">
                <img src="{{ route('path.picture', [$challenge, $group, $what]) }}" width="{{ $what->picture->width }}" height="{{ $what->picture->height }}"
                    alt="{{ $what->text() }}" loading="lazy"><figcaption class="small"><bdi>{{ $what->text() }}</bdi></figcaption></figure>@endif
        @endif
    </div></li>@endforeach</ol>
