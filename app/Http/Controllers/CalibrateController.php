<?php

declare(strict_types=1);

namespace Rheacid\Http\Controllers;

use Illuminate\Contracts\View\View;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Support\Collection;
use Illuminate\Validation\Rule;
use Rheacid\Actions\Calibrate\OpenRun;
use Rheacid\Bench\SimulatedBench;
use Rheacid\Core\Electrode\FitMethod;
use Rheacid\Core\Solutions\BufferLot;
use Rheacid\Core\Solutions\BufferOrder;
use Rheacid\Http\Bench;
use Rheacid\Models\Lot;
use Rheacid\Models\Measures;
use Rheacid\Models\Pair;
use Rheacid\Records\Refused;
use Rheacid\Records\IdempotencyKey;
use Rheacid\Today\CareDue;
use Rheacid\Today\DayPlan;

/** Choosing what is calibrated, and on which bottles. */
final class CalibrateController
{
    public function index(DayPlan $plan): View
    {
        return view('calibrate.index', ['plan' => $plan]);
    }

    public function create(Pair $pair, DayPlan $plan, SimulatedBench $bench): View|RedirectResponse
    {
        if ($pair->electrode->measures !== Measures::Ph) {
            return redirect()->route('cells.show', $pair);
        }
        $policy = $pair->policy;
        $buffers = $plan->buffersFor($policy->buffer_family);
        $order = array_map(static fn(BufferLot $lot): string => $lot->id, $policy->buffer_order->arrange($buffers->points, static fn(BufferLot $lot): float => $lot->nominalPh));
        $lots = Lot::query()->onShelf()->with('uses')->whereIn('kind', ['buffer', 'conductivity'])->orderBy('kind')->orderBy('nominal_ph')->orderBy('code')->get();

        return view('calibrate.create', [
            'pair' => $pair,
            'status' => $plan->status($pair),
            'step' => CareDue::nextStep($pair),
            'buffers' => $buffers,
            'order' => $order,
            'readBack' => self::independent($buffers->points, $lots),
            'expected' => $plan->expectedPh(),
            'lots' => $lots,
            'simulated' => $bench->knows($pair->electrode),
        ]);
    }

    public function store(Request $request, Pair $pair, OpenRun $open, SimulatedBench $bench): RedirectResponse
    {
        $request->validate([
            'lots' => ['required', 'array', 'min:1', 'max:5'],
            'lots.*' => ['nullable', 'string', 'max:20'],
            'read_back' => ['nullable', 'string', 'max:20'],
            'fit' => ['nullable', Rule::enum(FitMethod::class)],
            'order' => ['nullable', Rule::enum(BufferOrder::class)],
        ]);
        $chosen = array_values(array_filter((array) $request->input('lots'), static fn(mixed $code): bool => is_string($code) && $code !== ''));
        $known = Lot::query()->with('uses')->get()->keyBy('code');
        $find = static fn(string $code, string $field): Lot => $known->get($code) ?? throw Refused::because("There is no bottle $code on the shelf.", $field);
        $lots = array_map(static fn(string $code): Lot => $find($code, 'lots'), $chosen);
        if ($lots === []) {
            throw Refused::because('Choose at least one buffer; two about 3 pH apart give a slope.', 'lots');
        }
        $order = BufferOrder::from((string) $request->string('order', $pair->policy->buffer_order->value));
        $lots = $order->arrange($lots, static fn(Lot $lot): float => (float) $lot->nominal_ph);
        assert($lots !== []);
        $run = $open(
            Bench::person($request),
            IdempotencyKey::from($request),
            $pair,
            $lots,
            $request->filled('read_back') ? $find((string) $request->string('read_back'), 'read_back') : $lots[0],
            Bench::source($request, $pair, $bench),
            Bench::remark($request, 'soak_reason'),
            $request->filled('fit') ? FitMethod::from((string) $request->string('fit')) : null,
            $order,
        );

        return redirect()->route('runs.show', $run);
    }

    /**
     * A bottle that is not fitted, within the bracket and away from its ends: it checks what no fitted one can.
     *
     * @param list<BufferLot> $fitted
     * @param Collection<int, Lot> $lots
     */
    private static function independent(array $fitted, Collection $lots): ?string
    {
        if ($fitted === []) {
            return null;
        }
        $nominal = array_column($fitted, 'nominalPh');

        return $lots->first(static fn(Lot $lot): bool => $lot->isBuffer() && !$lot->isBarred() && OpenRun::objection($lot) === null
            && !in_array($lot->code, array_column($fitted, 'id'), true)
            && $lot->nominal_ph > min($nominal) - 0.1 && $lot->nominal_ph < max($nominal) + 0.1)?->code;
    }
}
