<?php

declare(strict_types=1);

namespace Rheacid\Actions\Batches;

use Illuminate\Support\Facades\Gate;
use Rheacid\Core\Access\Right;
use Rheacid\Core\Limits\DecisionCause;
use Rheacid\Models\Batch;
use Rheacid\Models\BatchRoute;
use Rheacid\Models\Person;
use Rheacid\Records\Entry;
use Rheacid\Records\IdempotencyKey;
use Rheacid\Records\Recording;
use Rheacid\Records\Refused;

/** By which route a batch is made safe: once by anybody, again by a lead with a reason. Everything is judged again by it. */
final readonly class ChooseRoute
{
    public function __construct(private JudgeAnew $judgeAnew) {}

    /** @throws Refused */
    public function __invoke(Person $by, IdempotencyKey $form, Batch $batch, string $route, ?string $reason): BatchRoute
    {
        return Recording::once($by, $form, 'choose the route of a batch', BatchRoute::class, function (Entry $entry) use (
            $by,
            $batch,
            $route,
            $reason,
        ): BatchRoute {
            $batch = BatchMoves::locked($batch);
            if (!$batch->state()->isMeasured() && $batch->route() !== null) {
                throw Refused::because(
                    "$batch->code is {$batch->state()->value}: it was released on the route \"{$batch->route()}\". Recall it first.",
                    'route',
                );
            }
            if ($batch->route() !== null) {
                Gate::forUser($by)->authorize(Right::Lead->value);
                if ($reason === null) {
                    throw Refused::because('Give a reason to change the route.', 'reason');
                }
            }
            $chosen = self::take($entry, $batch, $route, $reason);
            $this->judgeAnew->batch($entry, $batch, DecisionCause::RouteChanged);

            return $chosen;
        });
    }

    /** @throws Refused if its product has no such route */
    public static function take(Entry $entry, Batch $batch, string $route, ?string $reason = null): BatchRoute
    {
        if (!in_array($route, $batch->product->routeNames(), true)) {
            throw Refused::because('Choose a process route: ' . implode('; ', $batch->product->routeNames()) . '.', 'route');
        }

        return $entry->add(
            new BatchRoute([
                'batch_id' => $batch->id,
                'route' => $route,
                'reason' => $reason,
                'at' => $entry->at,
                'person_id' => $entry->by->id,
            ]),
        );
    }
}
