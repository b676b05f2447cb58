<x-layout :title="$page->visit->circuit->site->name" plain>
    <main id="main" class="page report owner" lang="{{ app()->getLocale() }}">
        <p class="soft">{{ $page->workshop->name }} · {{ $page->workshop->address }}</p>
        <h1>{{ $page->visit->circuit->site->name }}: {{ $page->visit->circuit->name }}</h1>
        <p class="soft">{{ $page->day() }} · {{ $page->visit->user->name }}</p>
        @if ($errors->any())<p class="error" role="alert">{{ $errors->first() }}</p>@endif
        @if ($page->ownWords() !== '')<p class="summary">{{ $page->ownWords() }}</p>@else
            <div class="summary">@foreach ($page->told() as $heading => $sentences)<h2>{{ $heading }}</h2>
                <p>{{ implode(' ', $sentences) }}</p>@endforeach</div>
        @endif
        @if ($page->beforeAfter()->rows !== [])
            <h2>{{ __($page->beforeAfter()->hasAfter ? 'As found ○ and as left ●' : 'As found') }}</h2>
            <table class="pairs narrow-only"><tbody>
                @foreach ($page->beforeAfter()->rows as $row)
                    <tr><th scope="row">@drawn($row['label'])</th><td class="num">@drawn($row['text'])</td>
                        <td class="num soft">@drawn($row['wanted'])</td></tr>
                @endforeach
            </tbody></table>
            <div class="picture-box wide-only" tabindex="0" role="region"
                aria-label="{{ __('As found') }}"><x-picture.before-after :picture="$page->beforeAfter()" /></div>
            <p class="hint wide-only">{{ __(
                'The pale band shows where each value should be; the ring shows what was measured.') }}</p>
        @endif
        @php($pictures = $page->pictures(__('Before'), __('After')))
        @if ($pictures !== [])
            <h2>{{ __('Photos') }}</h2>
            <div class="pair">@foreach ($pictures as [$address, $words])<figure><img src="{{ $address }}"
                alt="{{ $words }}" loading="lazy"><figcaption>{{ $words }}</figcaption></figure>@endforeach</div>
        @endif
        @if ($page->choices !== [])
            <h2>{{ __('Your choices') }}</h2>
            <div class="choices">
                @foreach ($page->choices as $card)
                    <section class="sheet choice">
                        @include('owner.choice')
                        <form method="post" action="{{ $page->link->decide($card->choice) }}">
                            @csrf
                            <label>{{ __('Your name') }} <input name="who" required maxlength="120"
                                autocomplete="name" value="{{ old('who') }}"></label>
                            <p class="actions"><button class="btn" name="word" value="accepted">{{ __('Accept')
                                }}</button> <button class="btn quiet" name="word" value="refused">{{ __('Refuse')
                                }}</button> <button class="btn quiet" name="word" value="later">{{ __('Later')
                                }}</button></p>
                        </form>
                    </section>
                @endforeach
            </div>
        @endif
        <p class="actions"><a class="btn quiet" href="{{ $page->link->pdf() }}">PDF</a></p>
        <p class="hint">{{ __('This page can be seen until :ends by whoever has its link.', ['ends' => $page->ends()])
            }} {{ $page->workshop->contact }}</p>
    </main>
</x-layout>
