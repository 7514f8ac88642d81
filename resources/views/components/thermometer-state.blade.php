@props(['thermometer'])
@php($standing = Rheacid\Shelf\Thermometers::standing($thermometer))
@php($service = $thermometer->service())
@if ($service->isReference() && $standing->state === Rheacid\Core\Care\ThermometerState::Unchecked)
    <x-state is="met">reference, certificate until {{ Rheacid\Plant::day($service->certificate_due_on) }}</x-state>
@else
    <x-state :is="match ($standing->state) {
        Rheacid\Core\Care\ThermometerState::Ready => 'met',
        Rheacid\Core\Care\ThermometerState::Failed, Rheacid\Core\Care\ThermometerState::OutOfUse => 'fail',
        default => 'care',
    }">{{ Rheacid\Shelf\Thermometers::words($standing) }}</x-state>
@endif
