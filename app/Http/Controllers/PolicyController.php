<?php

declare(strict_types=1);

namespace Rheacid\Http\Controllers;

use Illuminate\Contracts\View\View;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Rheacid\Actions\Ready\AssignPolicy;
use Rheacid\Actions\Ready\ChangePolicy;
use Rheacid\Http\Bench;
use Rheacid\Http\Requests\PolicyRequest;
use Rheacid\Models\Pair;
use Rheacid\Models\Policy;
use Rheacid\Records\IdempotencyKey;
use Rheacid\Shelf\Policies;

/** What is asked of an instrument, and how often; everybody reads it, a lead changes it. */
final class PolicyController
{
    public function index(): View
    {
        return view('ready.policies', ['policies' => Policy::newest(), 'pairs' => Policies::followers()]);
    }

    public function show(Policy $policy): View
    {
        return view('ready.policy', [
            'policy' => $policy,
            'versions' => Policies::versions($policy),
            'assignments' => Policies::assignments($policy),
        ]);
    }

    public function update(PolicyRequest $request, Policy $policy, ChangePolicy $change): RedirectResponse
    {
        $changed = $change(
            Bench::person($request),
            IdempotencyKey::from($request),
            $policy,
            $request->policy(),
            Bench::remark($request, 'copy_as'),
            Bench::remark($request),
        );

        return redirect()
            ->route('policies.show', $changed)
            ->with('done', "$changed->name saved as version $changed->version.");
    }

    public function assign(Request $request, Pair $pair, AssignPolicy $assign): RedirectResponse
    {
        $request->validate(['policy' => ['required', 'string', 'max:40']]);
        $policy = Policies::named($request->string('policy')->toString());
        $assign(Bench::person($request), IdempotencyKey::from($request), $pair, $policy, Bench::remark($request));

        return redirect()
            ->route('policies')
            ->with('done', "{$pair->electrode->code} follows $policy->name now.");
    }
}
