@php($photos = $report->photos)
@if (! $photos->isEmpty())
    @if ($print)
        @php($rows = $photos->rows(__('Before'), __('After')))
        @if ($rows !== [])
            <div class="page-photos">
                <h2>{{ __('Photos') }}</h2>
                <table class="photos">@foreach ($rows as $row)<tr>@foreach ($row as $cell)<td><img
                    src="{{ $cell['address'] }}" alt="{{ $cell['words'] }}"><br>{{ $cell['words']
                    }}</td>@endforeach</tr>@endforeach</table>
            </div>
        @endif
    @else
        <h2>{{ __('Photos') }}</h2>
        @foreach ($photos->pairs as [$before, $after])
            <div class="pair">@foreach ([[__('Before'), $before], [__('After'), $after]] as [$head, $one])<figure><a
                href="{{ route('attachments.show', $one) }}"><img src="{{ route('attachments.file', $one) }}"
                loading="lazy" alt="{{ $head }}: {{ $one->words() }}"></a><figcaption>{{ $head }}: {{ $one->words()
                }}</figcaption></figure>@endforeach</div>
        @endforeach
        <div class="attachments">@foreach ([...$photos->others, ...$photos->spoken] as $one)<x-attachment
            :one="$one" />@endforeach</div>
    @endif
@endif
