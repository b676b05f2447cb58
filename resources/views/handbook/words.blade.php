<x-layout title="Words" where="Handbook">
    <main id="main" class="page handbook">
        <p class="crumb"><a href="{{ route('handbook') }}">Handbook</a></p>
        <h1>Words used here</h1>
        <dl class="words">
            @foreach (Metrum\Knowledge\Glossary::all() as $key => $word)<div id="{{ $key }}">
                <dt>{{ $word['term'] }}</dt>
                <dd>{{ $word['means'] }}</dd>
            </div>@endforeach
        </dl>
    </main>
</x-layout>
