<?php

declare(strict_types=1);

namespace Rheacid\Actions\Ready;

use Illuminate\Contracts\Database\Eloquent\Builder;
use Illuminate\Support\Facades\Gate;
use Rheacid\Core\Access\Right;
use Rheacid\Models\Electrode;
use Rheacid\Models\Meter;
use Rheacid\Models\Pair;
use Rheacid\Models\Person;
use Rheacid\Models\Policy;
use Rheacid\Models\PolicyAssignment;
use Rheacid\Records\Entry;
use Rheacid\Records\IdempotencyKey;
use Rheacid\Records\Recording;
use Rheacid\Records\Refused;
use Rheacid\Site\SiteClock;

/** Puts an electrode on a meter. The new pair has no calibration: exchanging either voids it. */
final class PairUp
{
    /**
     * @param string|null $channel of a meter with several sockets
     * @param Policy|null $policy a lead's choice; else the one that the electrode or the meter followed, or the first of the site
     * @param bool $exchange part what either belongs to now
     *
     * @throws Refused if either is in use elsewhere and is not to be exchanged, or a checker chooses another policy
     */
    public function __invoke(
        Person $by,
        IdempotencyKey $form,
        Meter $meter,
        Electrode $electrode,
        ?string $channel,
        ?Policy $policy,
        bool $exchange,
    ): Pair {
        return Recording::once($by, $form, 'pair up', Pair::class, static function (Entry $entry) use (
            $by,
            $meter,
            $electrode,
            $channel,
            $policy,
            $exchange,
        ): Pair {
            $taken = Pair::query()
                ->with(['meter', 'electrode', 'openRun', 'openDraft'])
                ->whereDoesntHave('parting')
                ->where(
                    static fn(Builder $query) => $query
                        ->where('electrode_id', $electrode->id)
                        ->orWhere(static fn(Builder $query) => $query->where('meter_id', $meter->id)->where('channel', $channel)),
                )
                ->lockForUpdate()
                ->get();
            foreach ($taken as $pair) {
                if (!$exchange) {
                    throw Refused::because(
                        sprintf(
                            '%s is on %s since %s. Tick "exchange" to part them first; their calibration is void then.',
                            $pair->electrode->code,
                            $pair->name(),
                            SiteClock::day($pair->paired_at),
                        ),
                        'electrode',
                    );
                }
                PartPair::write($entry, $pair, "exchanged for $electrode->code on $meter->code");
            }
            $kept = self::followed($meter, $electrode);
            if ($policy !== null && $policy->code !== $kept->code && Gate::forUser($by)->denies(Right::Lead->value)) {
                throw Refused::because(
                    sprintf('A lead decides which policy an instrument follows; this one follows %s.', $kept->name),
                    'policy',
                );
            }
            $policy ??= $kept;
            $pair = $entry->add(
                new Pair(['meter_id' => $meter->id, 'electrode_id' => $electrode->id, 'channel' => $channel, 'paired_at' => $entry->at]),
            );
            $entry->add(
                new PolicyAssignment(['pair_id' => $pair->id, 'policy_id' => $policy->id, 'at' => $entry->at, 'person_id' => $by->id]),
            );

            return $pair;
        });
    }

    /** What a pair follows when nobody decides: what the electrode followed last, else the meter, else the site's first policy. */
    private static function followed(Meter $meter, Electrode $electrode): Policy
    {
        foreach (['electrode_id' => $electrode->id, 'meter_id' => $meter->id] as $column => $id) {
            $last = PolicyAssignment::query()->whereRelation('pair', $column, $id)->orderByDesc('id')->first();
            if ($last !== null) {
                return Policy::newest()->firstWhere('code', $last->policy->code) ?? $last->policy;
            }
        }

        return Policy::newest()->firstOrFail();
    }
}
