{{-- Where a batch stands and from where the sample was drawn. --}}
@props(['batch', 'stage' => 'underway', 'place' => null, 'drawn' => true, 'at' => null])
<x-field name="stage" label="Stage of the batch"><select class="form-select" id="f-stage" name="stage">@foreach (Rheacid\Core\Limits\Stage::cases() as $one)<option value="{{ $one->value }}" @selected(old('stage', $stage) === $one->value)>{{ $one->words() }}</option>@endforeach</select></x-field>
<x-field name="place" label="Drawn from"><select class="form-select" id="f-place" name="place">@foreach ($batch->product->method->places as $one)<option value="{{ $one }}" @selected(old('place', $place) === $one)>{{ $one }}</option>@endforeach</select></x-field>
@if ($drawn)<x-field name="drawn_at" label="Drawn at" type="datetime-local" :value="Rheacid\SiteClock::field($at ?? now())" help="what a deadline judges" />
<label class="form-check at-the-foot"><input class="form-check-input" type="checkbox" name="chilled" value="1" @checked(old('chilled'))> kept cold since: else, after {{ Rheacid\Core\Measuring\Freshness::MINUTES }} min it counts from when it is read</label>@endif
