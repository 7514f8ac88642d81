<?php

declare(strict_types=1);

namespace Rheacid\Actions\Products;

use Rheacid\Core\Access\Right;
use Rheacid\Core\Measuring\StandardMethods;
use Rheacid\Models\Method;
use Rheacid\Models\Person;
use Rheacid\Models\Statement;
use Rheacid\Models\StatementCode;
use Rheacid\Records\Entry;
use Rheacid\Records\IdempotencyKey;
use Rheacid\Records\Recording;
use Rheacid\Records\Refused;

/** Makes a standard method the site's own, to be chosen for its products and changed. */
final class TakeMethod
{
    /**
     * @param key-of<array<string, mixed>> $code of a standard method
     *
     * @throws Refused
     */
    public function __invoke(Person $by, IdempotencyKey $form, string $code): Method
    {
        return Recording::once(
            $by,
            $form,
            'take a method',
            Method::class,
            static function (Entry $entry) use ($by, $code): Method {
                $standard = StandardMethods::all()[$code] ?? throw Refused::because('There is no such method.', 'method');
                if (Method::query()->where('code', $code)->lockForUpdate()->exists()) {
                    throw Refused::because("{$standard['name']} is already one of your methods. Change that one.", 'method');
                }

                return $entry->add(
                    new Method([
                        ...$standard,
                        'version' => 1,
                        'changed_because' => new Statement(StatementCode::FromStandards),
                        'at' => $entry->at,
                        'person_id' => $by->id,
                    ]),
                );
            },
            Right::Lead,
        );
    }
}
