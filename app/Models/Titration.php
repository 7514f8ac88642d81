<?php

declare(strict_types=1);

namespace Rheacid\Models;

use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Rheacid\Core\Acidity\Acid;
use Rheacid\Core\Acidity\AcidityUnit;
use Rheacid\Core\Acidity\TitrationCurve;

/**
 * What a titrated result rests on.
 *
 * @property-read TitrantStandardisation $standardisation
 */
final class Titration extends Model
{
    use Sealed;

    protected $casts = [
        'curve' => 'array',
        'blank_ml' => 'float',
        'burette_digit_ml' => 'float',
        'sample_c' => 'float',
        'compensation_c' => 'float',
    ];

    /** @return BelongsTo<TitrantStandardisation, $this> */
    public function standardisation(): BelongsTo
    {
        return $this->belongsTo(TitrantStandardisation::class, 'titrant_standardisation_id');
    }

    /** In which it was said. Rows of earlier versions name only the acid. */
    public function unit(): AcidityUnit
    {
        return ($this->unit === null ? null : AcidityUnit::named($this->unit))
            ?? AcidityUnit::grams(Acid::tryFrom((string) $this->acid) ?? Acid::Tartaric, $this->sample_ml === null);
    }

    /** @return list<array{sample: float, ml: float, ph: float, meq: float, coarse: bool, curve: list<array{float, float}>}> */
    public function portions(): array
    {
        /**
         * @var list<array{sample: float, ml: float, ph: float, meq: float, coarse: bool, curve: list<array{float, float}>}> $portions
         *     as the action writes them
         */
        $portions = $this->curve ?? [];

        return $portions;
    }

    /**
     * The curve of a portion with the pH behind what the meter showed.
     *
     * @param non-empty-list<array{float, float}> $points as they are kept
     */
    public function curve(array $points): TitrationCurve
    {
        return TitrationCurve::through($points, $this->sample_c, $this->compensation_c);
    }

    /** @return list<string> */
    public function largeColumns(): array
    {
        return ['curve'];
    }
}
