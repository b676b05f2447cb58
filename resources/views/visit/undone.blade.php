@include('visit.touched')
@include('visit.follows', ['except' => [$key]])
