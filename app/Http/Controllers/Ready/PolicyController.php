<?php

declare(strict_types=1);

namespace Rheacid\Http\Controllers\Ready;

use Illuminate\Contracts\View\View;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Rheacid\Actions\Ready\AssignPolicy;
use Rheacid\Actions\Ready\ChangePolicy;
use Rheacid\Http\Forms\Ready\PolicyRequest;
use Rheacid\Http\Forms\Sent;
use Rheacid\Models\Pair;
use Rheacid\Models\Policy;
use Rheacid\Queries\Ready\Policies;
use Rheacid\Records\IdempotencyKey;

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
            Sent::person($request),
            IdempotencyKey::from($request),
            $policy,
            $request->policy(),
            Sent::remark($request, 'copy_as'),
            Sent::remark($request),
        );

        return redirect()
            ->route('policies.show', $changed)
            ->with('done', "$changed->name saved as version $changed->version.");
    }

    public function assign(Request $request, Pair $pair, AssignPolicy $assign): RedirectResponse
    {
        $request->validate(['policy' => ['required', 'string', 'max:40']]);
        $policy = Policies::named($request->string('policy')->toString());
        $assign(Sent::person($request), IdempotencyKey::from($request), $pair, $policy, Sent::remark($request));

        return redirect()
            ->route('policies')
            ->with('done', "{$pair->electrode->code} follows $policy->name now.");
    }
}
