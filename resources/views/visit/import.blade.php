<x-layout title="Import visit file" where="Import visit file">
    <main id="main" class="narrow">
        <h1>Import visit file</h1>
        @if (session('refused'))
            <div class="refused" role="alert"><p><b>Nothing imported.</b> Errors in the
                file:</p><ul>@foreach (session('refused') as $reason)<li><code>{{ $reason }}</code></li>@endforeach
                    </ul></div>
        @endif
        @foreach ($unfinished as $one)<a class="row-link" href="{{ route('import.progress', $one) }}"><span
            class="grow"><b>{{ $one->name }}</b><small>not finished: {{ $one->taken }} of {{ $one->visits }}
                imported</small></span><span class="when">continue</span></a>@endforeach
        <form method="post" action="{{ route('import') }}" enctype="multipart/form-data" class="sheet" novalidate>
            @csrf
            <div class="field-row @error('file') has-error @enderror"><label for="f-file">Visit file (JSON, or JSON
                Lines for many)</label><input id="f-file" type="file" name="file"
                accept=".json,.jsonl,application/json">@error('file')<p class="error"
                role="alert">{{ $message }}</p>@enderror</div>
            <x-pick name="circuit_id" label="Circuit" :options="$circuits->mapWithKeys(fn ($circuit)
                => [$circuit->id => $circuit->site->name.': '.$circuit->name])->all()"
                :value="old('circuit_id', $chosen)" empty="New circuit, as described in the file" />
            @error('other_refrigerant')<p class="error" role="alert">{{ $message }}</p><p><label class="tick"><input
                type="checkbox" name="other_refrigerant" value="1"> Import into this circuit anyway</label></p>@enderror
            <p class="hint">Up to {{ App\Records\UploadLimit::inWords() }}. Visits already present are skipped.</p>
            <button class="btn">Import</button>
        </form>
    </main>
</x-layout>
