<x-layout title="Choices for the owner">
    <x-slot:where><a href="{{ $visit->address() }}">{{ $visit->circuit->name }}</a> / <b>Choices for the
        owner</b></x-slot:where>
    <main id="main" class="page">
        <div class="page-head"><h1>Choices for the owner</h1>
            @if ($mayChange && $choices->cards === [])<form method="post"
                action="{{ route('choices.propose', $visit) }}">@csrf<button
                class="btn">Propose choices</button></form>@endif
            <a class="btn quiet" href="{{ route('visits.report', $visit) }}">Report</a></div>
        @if ($errors->any())<p class="error" role="alert">{{ $errors->first() }}</p>@endif
        @if ($choices->cards === [])<p class="empty">No choices yet. Offer two or three: what each does, costs, lasts
            and leaves undone.</p>@endif
        <h2 class="sr">Offered</h2>
        <div class="choices">
            @foreach ($choices->cards as $card)
                <section class="sheet choice">
                    @include('owner.choice')
                    @if ($mayChange)
                        @if ($card->decision === null)
                            <details><summary>Edit</summary>
                                <form method="post" action="{{ route('choices.update', $card->choice) }}"
                                    class="choice-form">@csrf @method('put')
                                    @include('owner.fields', ['choice' => $card->choice])<button
                                    class="btn">Save</button></form>
                                <form method="post" action="{{ route('choices.destroy', $card->choice) }}">@csrf
                                    @method('delete')<button class="plain">Remove choice</button></form>
                            </details>
                        @endif
                        <details><summary>Decided in person or by phone</summary>
                            <form method="post" action="{{ route('choices.decide', $card->choice) }}"
                                class="choice-form">@csrf<label>By whom <input name="who" required
                                maxlength="120"></label><p class="actions"><button class="btn quiet" name="word"
                                value="accepted">Accepted</button> <button class="btn quiet" name="word"
                                value="refused">Refused</button> <button class="btn quiet" name="word"
                                value="later">Later</button></p></form>
                        </details>
                    @endif
                </section>
            @endforeach
        </div>
        @if ($mayChange)
            <details class="sheet"><summary>Add a choice</summary>
                <form method="post" action="{{ route('choices.store', $visit) }}" class="choice-form">@csrf
                    @include('owner.fields', ['choice' => new App\Models\OwnerChoice()])<button class="btn">Add
                    choice</button></form>
            </details>
            <section class="sheet" aria-labelledby="h-send">
                <h2 id="h-send">Send to the owner</h2>
                <form method="post" action="{{ route('choices.send', $visit) }}" class="grid-fields" novalidate>@csrf
                    <x-field name="email" label="E-mail" type="email" :value="old('email', '')" />
                    <p class="actions"><button class="btn">Send link and PDF</button></p></form>
                <p class="hint">Or give them this link (no sign-in; ends {{ $link->ends()->format('j M Y') }}):</p>
                <p><a class="owner-link" href="{{ $link->page() }}">{{ $link->page() }}</a></p>
            </section>
        @endif
    </main>
</x-layout>
