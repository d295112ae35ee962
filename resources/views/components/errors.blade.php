@if ($errors->any())
    <div class="caution" role="alert">
        <p><strong>{{ $errors->count() === 1 ? 'One thing to mend.' : $errors->count() . ' things to mend.' }}</strong> Nothing was saved, and nothing you typed is lost.</p>
        @if ($slot->isNotEmpty()){{ $slot }}@endif
    </div>
@endif
