{{-- First among the buttons of its form, and asleep: Enter in a field must not press whichever button happens to come first. --}}
<button class="visually-hidden" disabled tabindex="-1" aria-hidden="true"></button>
