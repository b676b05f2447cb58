{{-- one choice as it is read: what it does, what it costs --}}
<h3>{{ $card->choice->title }} <span class="num price">{{ $card->isFree() ? '' : $card->total }}</span></h3>
@if ($card->choice->does !== '')<p>{{ $card->choice->does }}</p>@endif
@if ($card->choice->lasts !== '')<p>{{ __('Lasts') }}: {{ $card->choice->lasts }}</p>@endif
@if ($card->choice->prepare !== '')<p>{{ __('Please prepare') }}: {{ $card->choice->prepare }}</p>@endif
@if ($card->choice->risk !== '')<p class="risk">◐ {{ __('What it leaves') }}: {{ $card->choice->risk }}</p>@endif
@if (! $card->isFree())
    <table class="pairs"><tbody>@foreach ($card->lines as [$what, $quantity, $amount])<tr><th
        scope="row">{{ $what }}</th><td>{{ $quantity }}</td><td class="num">{{ $amount }}</td></tr>@endforeach
        @if ($card->tax !== '')<tr><th scope="row">{{ __('Tax') }}</th><td></td><td
        class="num">{{ $card->tax }}</td></tr>@endif<tr><th scope="row"><b>{{ __('Total') }}</b></th><td></td><td
        class="num"><b>{{ $card->total }}</b></td></tr></tbody></table>
@endif
@if ($card->decision !== null)<p class="decided"><b>{{ $card->isRefused() ? '◐' : '○' }}
    {{ $card->decision->words() }}</b></p>@endif
