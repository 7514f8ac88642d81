@props(['standing'])
<x-state :is="match (true) {
    $standing->state === Rheacid\Core\Care\PairState::Ready => 'met',
    $standing->state === Rheacid\Core\Care\PairState::Soaking => 'idle',
    in_array($standing->state, [Rheacid\Core\Care\PairState::Failed, Rheacid\Core\Care\PairState::OutOfUse, Rheacid\Core\Care\PairState::Doubtful], true) => 'fail',
    default => 'care',
}">{{ Rheacid\Shelf\Readiness::words($standing) }}</x-state>
