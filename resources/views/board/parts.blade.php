{{-- all of the board that an entry may have changed --}}
@include('board.head')
@include('board.picture')
@include('board.facts')
@include('board.isolation')
@include('board.charge')
@include('board.shared')
@include('board.rows')
@include('board.side')
@include('board.clocks')
@include('board.work')
@include('board.log')
@include('board.which-one')
@if ($cases !== null)@include('board.cases', ['page' => $cases])@endif
