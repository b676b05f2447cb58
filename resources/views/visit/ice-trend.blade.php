@if ($trend !== null)<figure class="ice-trend"><x-picture.ice-trend :trend="$trend" />
    <figcaption>Ice a day against inlet water. Band: expected in today’s air. ○ earlier visits, ● now.</figcaption>
</figure>@endif
