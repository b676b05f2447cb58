<x-layout title="Take in a visit file" where="Take in a visit file">
    <main id="main" class="narrow">
        <h1>Take in a visit file</h1>
        @if (session('refused'))
            <div class="refused" role="alert"><p><b>Nothing was taken in.</b> The file
                says:</p><ul>@foreach (session('refused') as $reason)<li><code>{{ $reason }}</code></li>@endforeach
                    </ul></div>
        @endif
        @foreach ($unfinished as $one)<a class="row-link" href="{{ route('import.progress', $one) }}"><span
            class="grow"><b>{{ $one->name }}</b><small>not finished: {{ $one->taken }} of {{ $one->visits }} taken
            in</small></span><span class="when">go on</span></a>@endforeach
        <form method="post" action="{{ route('import') }}" enctype="multipart/form-data" class="sheet" novalidate>
            @csrf
            <div class="field-row @error('file') has-error @enderror"><label for="f-file">Visit file (JSON, or JSON
                Lines for many)</label><input id="f-file" type="file" name="file"
                accept=".json,.jsonl,application/json">@error('file')<p class="error"
                role="alert">{{ $message }}</p>@enderror</div>
            <x-pick name="circuit_id" label="Belongs to" :options="$circuits->mapWithKeys(fn ($circuit)
                => [$circuit->id => $circuit->site->name.': '.$circuit->name])->all()"
                :value="old('circuit_id', $chosen)" empty="a circuit of its own, as the file describes it" />
            @error('other_refrigerant')<p class="error" role="alert">{{ $message }}</p><p><label class="tick"><input
                type="checkbox" name="other_refrigerant" value="1"> It belongs to this circuit all the
                same</label></p>@enderror
            <p class="hint">Up to {{ App\Records\UploadLimit::inWords() }}. A visit that is here already is not taken
                in twice.</p>
            <button class="btn">Take in</button>
        </form>
    </main>
</x-layout>
