@php($one = $page->one)
<x-layout :title="$one->words()">
    <x-slot:where><a href="{{ route('circuits.show', $one->visit->circuit) }}">{{ $one->visit->circuit->name }}</a> /
        <a href="{{ $one->visit->address() }}">{{ $one->visit->opened_at->format('j M Y') }}</a></x-slot:where>
    <main id="main" class="page attachment">
        <h1>{{ $one->words() }}</h1>
        <p class="soft">{{ $one->of }} · {{ $one->taken_at->format('j M Y, H:i') }} · {{ $one->user->name }}</p>
        @if ($errors->any())<p class="error" role="alert">{{ $errors->first() }}</p>@endif
        @if (! $one->isPhoto())
            <audio controls src="{{ route('attachments.file', $one) }}" aria-label="Voice note"></audio>
        @else
            <div class="pair">
                @if ($page->before !== null)<figure><img src="{{ route('attachments.file', $page->before) }}"
                    alt="Before: {{ $page->before->words() }}"><figcaption>Before: {{ $page->before->words()
                    }}, {{ $page->before->taken_at->format('j M Y') }}</figcaption></figure>@endif
                <figure>
                    <div class="marked"><img src="{{ route('attachments.file', $one) }}" alt="{{ $one->words() }}"><svg
                        id="marks" viewBox="0 0 {{ $page->width() }} {{ $page->height() }}" aria-hidden="true"
                        data-marks="{{ $page->marks() }}" @if ($page->mayChange()) data-drawable @endif></svg></div>
                    @if ($page->before !== null)<figcaption>After</figcaption>@endif
                </figure>
            </div>
        @endif
        @if ($page->mayChange())
            @if ($one->isPhoto())
                <form method="post" action="{{ route('attachments.update', $one) }}" class="mark-tools">
                    @csrf @method('put')
                    <fieldset><legend>Draw on the photo</legend>
                        @foreach (App\Records\Attachments\MarkShape::cases() as $tool)
                            <label class="chip"><input type="radio" name="tool" value="{{ $tool->value }}"
                                @checked($loop->first)> {{ $tool->label() }}</label>
                        @endforeach
                        <label class="sr" for="mark-word">Word to place</label>
                        <input id="mark-word" maxlength="60" autocomplete="off" placeholder="word, then tap the photo">
                    </fieldset>
                    <input type="hidden" name="marks" id="marks-field" value="[]">
                    <button type="button" class="btn quiet" id="mark-back">Undo mark</button>
                    <button class="btn">Save marks</button>
                </form>
            @endif
            <form method="post" action="{{ route('attachments.update', $one) }}" class="mark-tools">
                @csrf @method('put')
                <label>Caption <input name="caption" maxlength="240" value="{{ old('caption', $one->caption)
                    }}"></label>
                @if ($one->isPhoto())
                    <label>Taken after <select name="after"><option value="">no pair</option>@foreach ($page->earlier()
                        as $earlier)<option value="{{ $earlier->id }}" @selected($earlier->id === $one->after)>
                        {{ $earlier->taken_at->format('j M Y H:i') }}: {{ $earlier->words()
                        }}</option>@endforeach</select></label>
                @endif
                <button class="btn quiet">Save</button>
            </form>
        @endif
        @if ($page->mayDelete())
            <form method="post" action="{{ route('attachments.destroy', $one) }}" class="mark-tools">
                @csrf @method('delete')
                <label>Reason <input name="why" required maxlength="240"></label>
                <button class="btn quiet">Delete</button>
            </form>
        @endif
    </main>
</x-layout>
