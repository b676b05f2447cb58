@props(['swing'])
@php($p = App\Picture\SwingPicture::class)
<svg class="swing" viewBox="0 0 {{ $p::WIDTH }} {{ $p::HEIGHT }}" width="{{ $p::WIDTH }}" height="{{ $p::HEIGHT }}"
    aria-hidden="true">@foreach ($swing->rows as $row)<text x="0" y="{{ $row['y'] }}" dy="4">{{ $row['name'] }}</text>
    <path d="{{ $row['path'] }}" @class(['swing-line', 'swings' => $row['swings']]) />@endforeach</svg>
