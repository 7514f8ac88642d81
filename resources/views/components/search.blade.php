@props(['id'])
{{-- Works as a plain form; with scripts the first hits come while somebody types. --}}
<form {{ $attributes->class('search') }} action="{{ route('find') }}" role="search">
    <input class="form-control" type="search" name="q" id="{{ $id }}" aria-label="Search" placeholder="Search everything" autocomplete="off" maxlength="80"
        value="{{ request()->routeIs('find') && is_string(request('q')) ? request('q') : '' }}"
        hx-get="{{ route('find') }}" hx-trigger="input changed delay:200ms" hx-target="#{{ $id }}-found" hx-sync="this:replace">
    <div class="found" id="{{ $id }}-found"></div>
</form>
