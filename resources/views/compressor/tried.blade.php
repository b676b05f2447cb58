{{-- the envelope, and what five sliders do on it --}}
<div id="compressor-tried">
    <div class="picture-box" tabindex="0" role="region" aria-label="Operating envelope"><x-picture.envelope
        :envelope="$page->picture" /></div>
    @if ($page->tried !== null)
        <table class="tried"><thead><tr><th scope="col">Simulated</th><th scope="col">As it is</th><th
            scope="col">As tried</th><th scope="col">Change</th></tr></thead><tbody>
            @foreach ($page->tried->rows() as $row)<tr><th scope="row">{{ $row['name'] }}</th><td class="num">{{
                $row['now'] }}</td><td class="num"><b>{{ $row['then'] }}</b></td><td class="num soft">{{
                $row['change'] }}</td></tr>@endforeach
        </tbody></table>
    @endif
</div>
@if (request()->routeIs('visits.tried') && $page->tried !== null)@foreach ($page->tried->sliders() as $slider)<output
    id="said-{{ $slider['name'] }}" hx-swap-oob="true">{{ $slider['said'] }}</output>@endforeach @endif
