{{-- one choice as it is read: what it does, what it costs; in brief its amounts stand in one line --}}
@php($isBrief ??= false)
<h3>{{ $card->choice->title }} <span class="num price">{{ $card->isFree() ? '' : $card->total }}</span></h3>
@if ($card->choice->does !== '')<p>{{ $card->choice->does }}</p>@endif
@if ($card->terms() !== [])<p>@foreach ($card->terms() as [$name, $term])<span class="choice-term">{{ __($name) }}:
    {{ $term }}. </span>@endforeach</p>@endif
@if ($card->choice->risk !== '')<p class="risk">◐ {{ __('What it leaves') }}: {{ $card->choice->risk }}</p>@endif
@if ($isBrief && ! $card->isFree())<p class="soft">{{ $card->inOneLine() }}@if ($card->tax !== '') ·
    {{ __('Tax') }} {{ $card->tax }}@endif</p>@elseif (! $card->isFree())
    <table class="pairs"><tbody>@foreach ($card->lines as [$what, $quantity, $amount])<tr><th
        scope="row">{{ $what }}</th><td>{{ $quantity }}</td><td class="num">{{ $amount }}</td></tr>@endforeach
        @if ($card->tax !== '')<tr><th scope="row">{{ __('Tax') }}</th><td></td><td
        class="num">{{ $card->tax }}</td></tr>@endif<tr><th scope="row"><b>{{ __('Total') }}</b></th><td></td><td
        class="num"><b>{{ $card->total }}</b></td></tr></tbody></table>
@endif
@if ($card->decision !== null)<p class="decided"><b>{{ $card->isRefused() ? '◐' : '○' }}
    {{ $card->decision->words() }}</b></p>@endif
