{{-- One certificate, a page when printed. --}}
@props(['challenge', 'title', 'group', 'score' => null, 'said' => null])
<article class="certificate">
    <p class="certificate-place">{{ $challenge->name }}</p>
    <h2><bdi>{{ $title }}</bdi></h2>
    <p class="certificate-group with-mark">{{ Glyph::of($group->mark) }}<span>{{ $group->name }}</span></p>
    @if ($score !== null)<p class="certificate-score num">{{ $score }}</p>@endif
    @if ($said !== null)<p>{{ $said }}</p>@endif
    {{ $slot }}
    <svg class="certificate-tape" viewBox="0 0 600 30" aria-hidden="true">
        <rect width="600" height="30" />@for ($i = 0; $i <= 60; $i++)
        <line x1="{{ 10 * $i }}" x2="{{ 10 * $i }}" y1="0" y2="{{ $i % 10 === 0 ? 30 : ($i % 5 === 0 ? 16 : 9) }}" />
        @endfor</svg>
    <div class="certificate-foot">
        <span>{{ $challenge->sessionPlan()->starts_at === null ? Text::of('report.certificates.date')
        : Text::of('report.certificates.date_of', ['day' => Moment::day($challenge->day())]) }}</span>
        <span>{{ Text::of('report.certificates.signed') }}</span></div>
</article>
