{{-- all of the board that an entry may have changed --}}
@include('board.head')
@include('board.picture')
@include('board.facts')
@include('board.isolation')
@include('board.shared')
@include('board.rows')
@include('board.side')
