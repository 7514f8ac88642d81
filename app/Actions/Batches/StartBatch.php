<?php

declare(strict_types=1);

namespace Rheacid\Actions\Batches;

use Carbon\CarbonImmutable;
use Rheacid\Bench\SimulatedCups;
use Rheacid\Core\Batches\BatchState;
use Rheacid\Models\Batch;
use Rheacid\Models\BatchEvent;
use Rheacid\Models\BatchParent;
use Rheacid\Models\Person;
use Rheacid\Models\Product;
use Rheacid\Queries\Ready\CodeOwner;
use Rheacid\Records\Entry;
use Rheacid\Records\IdempotencyKey;
use Rheacid\Records\Recording;
use Rheacid\Records\Refused;

/** Starts a batch of a product as it stands now; its limits stay those of that version. */
final class StartBatch
{
    /**
     * @param string|null $route by which it is made safe, where its product has several
     * @param list<Batch> $parents what it was split off from, or blended of
     *
     * @throws Refused
     */
    public function __invoke(
        Person $by,
        IdempotencyKey $form,
        Product $product,
        string $code,
        string $vessel,
        string $size,
        CarbonImmutable $startedAt,
        bool $isPlanned = false,
        array $parents = [],
        ?string $route = null,
    ): Batch {
        return Recording::once($by, $form, 'start a batch', Batch::class, static function (Entry $entry) use (
            $by,
            $product,
            $code,
            $vessel,
            $size,
            $startedAt,
            $isPlanned,
            $parents,
            $route,
        ): Batch {
            $owner = CodeOwner::of($code);
            if ($owner !== null) {
                throw Refused::because("$code is already the code of $owner. Each code can be used once.", 'code');
            }
            if (!$isPlanned && $startedAt->greaterThan($entry->at)) {
                throw Refused::because('The start cannot be in the future. Plan the batch, or type a time up to now.', 'started_at');
            }
            $batch = $entry->add(
                new Batch([
                    'code' => $code,
                    'product_id' => $product->id,
                    'started_at' => $startedAt,
                    'vessel' => $vessel,
                    'size' => $size,
                ]),
            );
            $entry->add(
                new BatchEvent([
                    'batch_id' => $batch->id,
                    'state' => $isPlanned ? BatchState::Planned : BatchState::Running,
                    'at' => $entry->at,
                    'person_id' => $by->id,
                ]),
            );
            if ($route !== null || $product->routeNames() !== []) {
                ChooseRoute::take($entry, $batch->setRelation('product', $product), (string) $route);
            }
            foreach ($parents as $parent) {
                $entry->add(
                    new BatchParent(['batch_id' => $batch->id, 'parent_id' => $parent->id, 'at' => $entry->at, 'person_id' => $by->id]),
                );
            }
            SimulatedCups::draw($batch);

            return $batch;
        });
    }
}
