@props(['challenge', 'here'])
<nav class="subpages no-print" aria-label="{{ Text::of('dry_run.show.pages') }}">
    <ol>@foreach (['dry-run' => ['dry-run.show', 'dry_run.show.dry_run_2'], 'larger' => ['plan.larger', 'plan.larger.heading']] as $key => [$route, $name])
        <li><a href="{{ route($route, $challenge) }}" @if ($here === $key) aria-current="page" @endif>{{ Text::of($name) }}</a></li>@endforeach</ol>
</nav>
