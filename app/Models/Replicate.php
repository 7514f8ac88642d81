<?php

declare(strict_types=1);

namespace Rheacid\Models;

use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Rheacid\Core\Electrode\CalibrationFunction;
use Rheacid\Core\Electrode\Signal;
use Rheacid\Core\Measuring\Source;
use Rheacid\Core\Settling\Stability;

/**
 * One portion, measured: what was read, what was corrected, and the pH that follows.
 *
 * @property-read Calibration|null $calibration
 * @property-read Verification|null $verification
 * @property-read Person $person
 */
final class Replicate extends Model
{
    use Sealed;

    protected $casts = [
        'position' => 'integer',
        'mv' => 'float',
        'shown_ph' => 'float',
        'shown_c' => 'float',
        'correction_c' => 'float',
        'celsius' => 'float',
        'value' => 'float',
        'expanded_u' => 'float',
        'outside_by_ph' => 'float',
        'response_time_s' => 'float',
        'settled' => 'boolean',
        'stability' => Stability::class,
        'dilution_parts' => 'float',
        'at' => 'datetime',
        'source' => Source::class,
    ];

    /**
     * What a pH portion says, in the digits that are kept.
     *
     * @param float $shownC and $celsius °C as the thermometer shows it, and corrected
     *
     * @return array<string, float|null>
     */
    public static function readOff(CalibrationFunction $function, Signal $signal, float $shownC, float $celsius): array
    {
        $celsius = round($celsius, 3);
        $reading = $function->tell($signal, $celsius);
        $outsideBy = $reading->outsideByPh();

        return [
            'mv' => $signal->mv === null ? null : round($signal->mv, 3),
            'shown_ph' => $signal->shownPh === null ? null : round($signal->shownPh, 3),
            'shown_c' => round($shownC, 3),
            'correction_c' => round($celsius - $shownC, 3),
            'celsius' => $celsius,
            'value' => round($reading->ph, 10),
            'outside_by_ph' => round($outsideBy, 10),
        ];
    }

    /** @return BelongsTo<Calibration, $this> */
    public function calibration(): BelongsTo
    {
        return $this->belongsTo(Calibration::class);
    }

    /** @return BelongsTo<Verification, $this> */
    public function verification(): BelongsTo
    {
        return $this->belongsTo(Verification::class);
    }

    /** @return BelongsTo<Trace, $this> */
    public function trace(): BelongsTo
    {
        return $this->belongsTo(Trace::class);
    }

    /** @return BelongsTo<Person, $this> */
    public function person(): BelongsTo
    {
        return $this->belongsTo(Person::class);
    }

    public function signal(): Signal
    {
        return Signal::kept($this->mv, $this->shown_ph);
    }
}
