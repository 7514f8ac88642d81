<?php

declare(strict_types=1);

namespace Rheacid\Queries\Ready;

use Illuminate\Support\Collection;
use Rheacid\Models\Pair;
use Rheacid\Models\Policy;
use Rheacid\Models\PolicyAssignment;
use Rheacid\Queries\Listed;
use Rheacid\Records\Refused;

/** Policies, their versions, and who follows them. */
final class Policies
{
    private const SHOWN = 20;

    /** @throws Refused if there is none of that code */
    public static function named(string $code): Policy
    {
        return Policy::newest()->firstWhere('code', $code) ?? throw Refused::because('There is no such policy.', 'policy');
    }

    /** @return Collection<int, Pair> pairs that belong together now */
    public static function followers(): Collection
    {
        return Pair::query()
            ->together()
            ->with(['meter', 'electrode', 'policy'])
            ->orderBy('id')
            ->limit(Listed::MOST)
            ->get();
    }

    /** @return Collection<int, Policy> the newest first */
    public static function versions(Policy $policy): Collection
    {
        return Policy::query()->where('code', $policy->code)->orderByDesc('version')->limit(self::SHOWN)->get();
    }

    /** @return Collection<int, PolicyAssignment> the newest first */
    public static function assignments(Policy $policy): Collection
    {
        return PolicyAssignment::query()
            ->with(['person', 'pair.electrode'])
            ->where('policy_id', $policy->id)
            ->orderByDesc('at')
            ->limit(self::SHOWN)
            ->get();
    }
}
