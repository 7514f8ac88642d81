{{-- To which occasion a sample belongs. --}}
@props(['occasions', 'joins' => null])
@if ($occasions->isNotEmpty())
    <x-field name="joins" label="Drawn together with" class="wide" help="brine and solids, three places: judged as one, at the stage of the first"><select class="form-select" id="f-joins" name="joins"><option value="">nothing: a sample of its own</option>@foreach ($occasions as $occasion)<option value="{{ $occasion->id }}" @selected((int) old('joins', $joins) === $occasion->id)>{{ Rheacid\SiteClock::short($occasion->drawn_at) }}: {{ Rheacid\Measure\Together::words($occasion) }}</option>@endforeach</select></x-field>
@endif
