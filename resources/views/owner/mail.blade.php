{{ __('Report of our visit on :day.', ['day' => App\View\Dates::day($visit->opened_at, 'dMMMMy')]) }}

{{ __('See it and choose here (until :ends, no sign-in):', ['ends' => $ends]) }}
{!! $address !!}

{!! $workshop->name !!}
{!! $workshop->address !!}
{!! $workshop->contact !!}
