@props(['status'])
<x-state :is="match (true) {
    $status->state === Rheacid\Core\Care\PairState::Ready => 'met',
    $status->state === Rheacid\Core\Care\PairState::Soaking => 'idle',
    in_array($status->state, [Rheacid\Core\Care\PairState::Failed, Rheacid\Core\Care\PairState::OutOfUse, Rheacid\Core\Care\PairState::Doubtful],
        true) => 'fail',
    default => 'care',
}">{{ Rheacid\Queries\Ready\Readiness::words($status) }}</x-state>
