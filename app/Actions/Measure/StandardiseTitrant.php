<?php

declare(strict_types=1);

namespace Rheacid\Actions\Measure;

use Rheacid\Core\Acidity\Standardisation;
use Rheacid\Core\Solutions\SolutionKind;
use Rheacid\Models\Lot;
use Rheacid\Models\Person;
use Rheacid\Models\TitrantStandardisation;
use Rheacid\Records\Entry;
use Rheacid\Records\IdempotencyKey;
use Rheacid\Records\Recording;
use Rheacid\Records\Refused;

/** Finds the strength of a titrant against the primary standard, in triplicate. */
final class StandardiseTitrant
{
    /**
     * @param non-empty-list<array{float, float}> $runs g of phthalate, mL taken
     * @param float $purity as a fraction
     *
     * @throws Refused where the runs do not stand for a strength
     */
    public function __invoke(Person $by, IdempotencyKey $form, Lot $lot, array $runs, float $purity): TitrantStandardisation
    {
        return Recording::once($by, $form, 'standardise a titrant', TitrantStandardisation::class, static function (Entry $entry) use (
            $by,
            $lot,
            $runs,
            $purity,
        ): TitrantStandardisation {
            if ($lot->kind !== SolutionKind::Titrant) {
                throw Refused::because('This bottle does not contain titrant.', 'runs');
            }
            $normalities = array_map(
                static fn(array $run): float => $run[0] > 0 && $run[1] > 0
                    ? Standardisation::normality($run[0], $run[1], $purity)
                    : throw Refused::because('Type masses and volumes above 0.', 'runs'),
                $runs,
            );
            if (!Standardisation::agree($normalities)) {
                throw Refused::because(
                    sprintf(
                        'At least %d runs must agree within %s %%: %s N. Run it again.',
                        Standardisation::RUNS,
                        Standardisation::AGREE_PERCENT,
                        implode(', ', array_map(static fn(float $one): string => (string) round($one, 5), $normalities)),
                    ),
                    'runs',
                );
            }
            [$mean, $expandedU] = Standardisation::of($normalities);

            return $entry->add(
                new TitrantStandardisation([
                    'lot_id' => $lot->id,
                    'runs' => $runs,
                    'normality' => $mean,
                    'expanded_u' => $expandedU,
                    'at' => $entry->at,
                    'person_id' => $by->id,
                ]),
            );
        });
    }
}
