{!! $text !!}
