<x-layout title="Join" line="With the code that the adult shows you.">
    <form method="post" action="{{ route('join') }}" class="narrow-form py-6">
        @csrf
        <x-field name="code" label="Code" :value="$code" autocapitalize="characters" spellcheck="false" class="big-code" maxlength="20" />
        <x-field name="name" label="Name of this tablet" optional maxlength="40" hint="such as “lane 2”. Never a child’s name." />
        <p><button class="button do">Join</button></p>
    </form>
</x-layout>
