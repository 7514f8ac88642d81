<?php

declare(strict_types=1);

namespace Rheacid\Actions\Ready;

use Illuminate\Support\Str;
use Rheacid\Core\Access\Right;
use Rheacid\Models\Pair;
use Rheacid\Models\Person;
use Rheacid\Models\Policy;
use Rheacid\Records\Entry;
use Rheacid\Records\IdempotencyKey;
use Rheacid\Records\Recording;
use Rheacid\Records\Refused;

/** A changed policy is a new version, and every pair that followed the old one follows it from then on; an own copy stands beside it. */
final class ChangePolicy
{
    /**
     * @param array<string, mixed> $values
     * @param string|null $copyAs name of an own copy; null to change the policy itself
     *
     * @throws Refused if somebody changed it meanwhile, or the name is taken
     */
    public function __invoke(Person $by, IdempotencyKey $form, Policy $policy, array $values, ?string $copyAs, ?string $reason): Policy
    {
        return Recording::once(
            $by,
            $form,
            'change a policy',
            Policy::class,
            static function (Entry $entry) use ($by, $policy, $values, $copyAs, $reason): Policy {
                $code = $copyAs === null ? $policy->code : Str::limit(Str::slug($copyAs), 40, '');
                $newest = Policy::query()->where('code', $code)->lockForUpdate()->max('version');
                if ($copyAs === null && $newest !== $policy->version) {
                    throw Refused::because(
                        'Somebody changed this policy meanwhile. Look at the newest version first; nothing was changed.',
                        'policy',
                    );
                }
                if ($copyAs !== null && ($newest !== null || $code === '')) {
                    throw Refused::because('A policy of that name is there already. Choose another name.', 'copy_as');
                }
                $changed = $entry->add(
                    new Policy([
                        ...$values,
                        'code' => $code,
                        'name' => $copyAs ?? $policy->name,
                        'version' => $copyAs === null ? $policy->version + 1 : 1,
                    ]),
                );
                foreach ($copyAs === null ? Pair::query()->together()->following($code)->get() : [] as $pair) {
                    AssignPolicy::write($entry, $by, $pair, $changed, $reason);
                }

                return $changed;
            },
            Right::Lead,
        );
    }
}
