@props(['figure', 'label'])
<figure class="small spark"><svg viewBox="0 0 {{ $figure::WIDTH }} {{ $figure::HEIGHT }}" role="img" aria-label="{{ $label }}: {{ $figure->words() }}">
    <path class="edge" d="M0 {{ $figure->limit() }}H{{ $figure::WIDTH }}"/><path class="trace" d="{{ $figure->path() }}"/></svg><figcaption>
    {{ $figure->words() }}</figcaption></figure>
