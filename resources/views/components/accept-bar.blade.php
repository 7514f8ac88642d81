@props(['form', 'label', 'live' => null, 'leave' => null])
{{-- Accept wakes when the reading has settled; before that a reason is needed. --}}
<details @if (is_string(old('reason')) && old('reason') !== '') open @endif>
    <summary>Accept before it is stable</summary>
    <x-field name="reason" label="Reason not to wait" maxlength="400" :form="$form" />
    <button class="do quiet apart" form="{{ $form }}">Accept with reason</button>
</details>
@if ($leave)<form method="post" action="{{ $leave }}"><x-form-id /><button class="do link">Leave</button></form>@endif
<button class="do" form="{{ $form }}" data-accept data-primary @if ($live) aria-disabled="{{ $live->isSettled() ? 'false' : 'true' }}" @endif>{{ $label }}<span
    data-wait>{{ $live?->figure && !$live->isSettled() ? ' in ' . $live->waitS() . ' s' : '' }}</span> <kbd>Enter</kbd></button>
