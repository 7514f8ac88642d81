<?php

declare(strict_types=1);

namespace Rheacid\Http\Controllers;

use Illuminate\Contracts\View\View;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Validation\Rule;
use Rheacid\Actions\Ready\AssignPolicy;
use Rheacid\Actions\Ready\ChangePolicy;
use Rheacid\Core\Care\IntervalKind;
use Rheacid\Core\Electrode\FitMethod;
use Rheacid\Core\Solutions\BufferFamily;
use Rheacid\Core\Solutions\BufferOrder;
use Rheacid\Http\Bench;
use Rheacid\Models\Pair;
use Rheacid\Models\Policy;
use Rheacid\Models\PolicyAssignment;
use Rheacid\Records\Refused;
use Rheacid\Records\IdempotencyKey;

/** What is asked of an instrument, and how often; everybody reads it, a lead changes it. */
final class PolicyController
{
    /** Decimals that are asked for, with their label and range. */
    public const NUMBERS = [
        'slope_low_percent' => ['Lowest slope, %', 50, 100],
        'slope_high_percent' => ['Highest slope, %', 100, 110],
        'zero_point_ph' => ['Zero point off 7, pH (or empty)', 0.05, 2],
        'offset_mv' => ['Offset, ± mV (or empty)', 1, 100],
        'response_time_s' => ['Response, s (or empty)', 5, 600],
        'residual_ph' => ['Residual, pH (or empty)', 0.005, 0.5],
        'read_back_limit_ph' => ['Read-back and check buffer within, pH', 0.005, 0.5],
        'pooled_sd_ph' => ['Pooled repeatability, pH', 0.001, 0.2],
    ];
    private const MAY_BE_EMPTY = ['zero_point_ph', 'offset_mv', 'response_time_s', 'residual_ph'];

    public function index(): View
    {
        return view('ready.policies', ['policies' => Policy::newest(), 'pairs' => Pair::query()->together()->with(['meter', 'electrode', 'policy'])->orderBy('id')->get()]);
    }

    public function show(Request $request, Policy $policy): View
    {
        return view('ready.policy', [
            'policy' => $policy,
            'versions' => Policy::query()->where('code', $policy->code)->orderByDesc('version')->get(),
            'assignments' => PolicyAssignment::query()->with(['person', 'pair.electrode'])->where('policy_id', $policy->id)->orderByDesc('at')->limit(20)->get(),
            'leads' => Bench::person($request)->role->leads(),
        ]);
    }

    public function update(Request $request, Policy $policy, ChangePolicy $change): RedirectResponse
    {
        self::ensureLead($request);
        Bench::takeCommas($request, ...array_keys(self::NUMBERS));
        $values = $request->validate([
            ...array_map(static fn(array $number): array => ['required', 'numeric', 'min:' . $number[1], 'max:' . $number[2]], self::NUMBERS),
            ...array_fill_keys(self::MAY_BE_EMPTY, ['nullable', 'numeric', 'gt:0']),
            'interval_kind' => ['required', Rule::enum(IntervalKind::class)],
            'interval_count' => ['required', 'integer', 'min:1', 'max:1000'],
            'buffer_family' => ['required', Rule::enum(BufferFamily::class)],
            'buffer_order' => ['required', Rule::enum(BufferOrder::class)],
            'fit' => ['required', Rule::enum(FitMethod::class)],
            'rinse' => ['required', Rule::in(['distilled', 'tap'])],
            'copy_as' => ['nullable', 'string', 'max:80'],
        ], ['min' => 'At least :min is accepted.', 'max' => 'At most :max is accepted.', 'numeric' => 'A number is accepted, like 95.', 'integer' => 'A whole number is accepted, like 12.']);
        unset($values['copy_as']);
        $changed = $change(Bench::person($request), IdempotencyKey::from($request), $policy, [...array_fill_keys(array_keys(self::NUMBERS), null), ...$values], Bench::remark($request, 'copy_as'), Bench::remark($request));

        return redirect()->route('policies.show', $changed)->with('done', "$changed->name is version $changed->version now.");
    }

    public function assign(Request $request, Pair $pair, AssignPolicy $assign): RedirectResponse
    {
        self::ensureLead($request);
        $request->validate(['policy' => ['required', 'string', 'max:40']]);
        $policy = Policy::newest()->firstWhere('code', (string) $request->string('policy')) ?? throw Refused::because('There is no such policy.', 'policy');
        $assign(Bench::person($request), IdempotencyKey::from($request), $pair, $policy, Bench::remark($request));

        return redirect()->route('policies')->with('done', "{$pair->electrode->code} follows $policy->name now.");
    }

    private static function ensureLead(Request $request): void
    {
        abort_unless(Bench::person($request)->role->leads(), 403, 'A lead changes policies. You can read them.');
    }
}
