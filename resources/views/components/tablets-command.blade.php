{{-- What lets tablets reach this machine, to copy. --}}
<div class="caution"><p>{!! Text::html('device.index.tablets_cant_reach_skivo_yet_it') !!}</p>
    <p class="actions my-2"><code class="num" id="tablets-command">bin/skivo start --tablets</code>
        <button type="button" class="button" data-copy="#tablets-command" data-copied="{{ Text::of('device.index.copied') }}">{{
            Text::of('device.index.copy') }}</button></p>
    <p>{{ Text::of('device.index.what_it_opens') }}</p></div>
