<?php

declare(strict_types=1);

namespace Rheacid\Actions\Ready;

use Rheacid\Core\Access\Right;
use Rheacid\Models\Pair;
use Rheacid\Models\Person;
use Rheacid\Models\Policy;
use Rheacid\Models\PolicyAssignment;
use Rheacid\Records\Entry;
use Rheacid\Records\IdempotencyKey;
use Rheacid\Records\Recording;

/** Puts a pair under a policy. What was calibrated before keeps the version it was judged by. */
final class AssignPolicy
{
    public function __invoke(Person $by, IdempotencyKey $form, Pair $pair, Policy $policy, ?string $reason): PolicyAssignment
    {
        return Recording::once(
            $by,
            $form,
            'assign a policy',
            PolicyAssignment::class,
            static fn(Entry $entry): PolicyAssignment => self::write($entry, $by, $pair, $policy, $reason),
            Right::Lead,
        );
    }

    public static function write(Entry $entry, Person $by, Pair $pair, Policy $policy, ?string $reason): PolicyAssignment
    {
        return $entry->add(
            new PolicyAssignment([
                'pair_id' => $pair->id,
                'policy_id' => $policy->id,
                'reason' => $reason,
                'at' => $entry->at,
                'person_id' => $by->id,
            ]),
        );
    }
}
