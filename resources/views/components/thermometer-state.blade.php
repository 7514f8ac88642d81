@props(['thermometer'])
@php($status = Rheacid\Shelf\Thermometers::status($thermometer))
@php($service = $thermometer->service())
@if ($service->isReference() && $status->state === Rheacid\Core\Care\ThermometerState::Unchecked)
    <x-state is="met">reference, certificate until {{ Rheacid\SiteClock::day($service->certificate_due_on) }}</x-state>
@else
    <x-state :is="match ($status->state) {
        Rheacid\Core\Care\ThermometerState::Ready => 'met',
        Rheacid\Core\Care\ThermometerState::Failed, Rheacid\Core\Care\ThermometerState::OutOfUse => 'fail',
        default => 'care',
    }">{{ Rheacid\Shelf\Thermometers::words($status) }}</x-state>
@endif
