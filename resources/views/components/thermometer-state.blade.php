@props(['line'])
@use(Rheacid\Core\Care\ThermometerState)
@php($status = $line->status())
@if ($line->isReference() && $status->state === ThermometerState::Unchecked)
    <x-state is="met">reference, certificate until {{ Rheacid\Site\SiteClock::day($line->use->certifiedUntil) }}</x-state>
@else
    <x-state :is="match ($status->state) {
        ThermometerState::Ready => 'met',
        ThermometerState::Failed, ThermometerState::OutOfUse => 'fail',
        default => 'care',
    }">{{ Rheacid\Queries\Ready\Thermometers::words($status) }}</x-state>
@endif
