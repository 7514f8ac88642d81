@props(['method', 'pilot' => true, 'lastPh' => null])
{{-- What is done to a sample before it is read. --}}
@if ($method->dilution_parts !== null)<x-field name="dilution_parts" label="Parts of water to one part of the sample" inputmode="decimal"
    :value="Rheacid\Core\Numbers::plain(Rheacid\Core\Measuring\SampleDilution::usual($method->dilution_parts))"
    :help="'the method names ' . Rheacid\Core\Measuring\SampleDilution::words($method->dilution_parts) . ($method->dilution ? ' (' . $method->dilution . ')'
    : '') . '; 0 if none was added'" />@endif
@if ($pilot && $method->matrix?->needsPilotHole())<x-tick name="pilot_hole" class="at-the-foot"
    :checked="old('pilot_hole')">Pilot hole made with a clean skewer, tip looked at</x-tick>@endif
@if (Rheacid\Core\Measuring\Rinse::isAsked($lastPh) || $errors->has('rinsed'))<x-tick name="rinsed" class="at-the-foot"
    :checked="old('rinsed')">Rinsed with water, then with a little of the sample{{ $lastPh === null ? '' : ': it was last in pH '
    . Rheacid\Core\Numbers::fixed($lastPh, 2) }}</x-tick>@endif
