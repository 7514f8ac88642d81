<?php

declare(strict_types=1);

namespace Rheacid\Actions\Products;

use Rheacid\Core\Access\Right;
use Rheacid\Models\Method;
use Rheacid\Models\Person;
use Rheacid\Models\Product;
use Rheacid\Records\Entry;
use Rheacid\Records\IdempotencyKey;
use Rheacid\Records\Recording;
use Rheacid\Records\Refused;

/** A changed method is a new version, and so is every product that is measured by it. Batches keep the one under which they were begun. */
final class ChangeMethod
{
    /**
     * @param array<string, mixed> $values
     *
     * @throws Refused
     */
    public function __invoke(Person $by, IdempotencyKey $form, Method $method, array $values, ?string $why): Method
    {
        return Recording::once(
            $by,
            $form,
            'change a method',
            Method::class,
            static function (Entry $entry) use ($by, $method, $values, $why): Method {
                $newest = Method::query()->where('code', $method->code)->lockForUpdate()->max('version');
                if ($newest !== $method->version) {
                    throw Refused::because(
                        'Somebody else changed this method: version '
                            . (is_numeric($newest) ? (int) $newest : '')
                            . ' is the newest. Look at it, then change that one; what you typed is still here.',
                        'method',
                    );
                }
                if ($why === null) {
                    throw Refused::because('Write what changed and why.', 'changed_because');
                }
                $changed = $entry->add(
                    $method
                        ->replicate()
                        ->fill([
                            ...$values,
                            'version' => $method->version + 1,
                            'changed_because' => $why,
                            'at' => $entry->at,
                            'person_id' => $by->id,
                        ]),
                );
                foreach (Product::measuredBy($method) as $product) {
                    NextVersion::of(
                        $entry,
                        $product,
                        ['method_id' => $changed->id],
                        mb_strimwidth("its method was changed: $why", 0, 400, '…'),
                        $product->limits->all(),
                    );
                }

                return $changed;
            },
            Right::Lead,
        );
    }
}
