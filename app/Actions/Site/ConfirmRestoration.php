<?php

declare(strict_types=1);

namespace Rheacid\Actions\Site;

use Rheacid\Core\Access\Right;
use Rheacid\Models\Person;
use Rheacid\Models\Restoration;
use Rheacid\Models\RestorationConfirmation;
use Rheacid\Records\Entry;
use Rheacid\Records\IdempotencyKey;
use Rheacid\Records\Recording;
use Rheacid\Records\Refused;

/** Keeps that a lead has seen that the records were restored from a backup. */
final class ConfirmRestoration
{
    /** @throws Refused if it was confirmed already */
    public function __invoke(Person $by, IdempotencyKey $form, Restoration $restoration, ?string $remark): RestorationConfirmation
    {
        return Recording::once(
            $by,
            $form,
            'confirm a restoration',
            RestorationConfirmation::class,
            static function (Entry $entry) use ($by, $restoration, $remark): RestorationConfirmation {
                if ($restoration->confirmation()->exists()) {
                    throw Refused::because('That was confirmed already.');
                }

                return $entry->add(
                    new RestorationConfirmation([
                        'restoration_id' => $restoration->id,
                        'remark' => $remark,
                        'at' => $entry->at,
                        'person_id' => $by->id,
                    ]),
                );
            },
            Right::Lead,
        );
    }
}
