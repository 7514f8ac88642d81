<?php

declare(strict_types=1);

namespace Rheacid\Models;

use Illuminate\Database\Eloquent\Model;
use Rheacid\Core\Limits\Stage;
use Rheacid\Core\Measuring\MethodRules;
use Rheacid\Records\Kept;

/** How a product is sampled and measured. A changed method is a new version. */
final class Method extends Model
{
    use Kept;

    protected $casts = [
        'version' => 'integer',
        'steps' => 'array',
        'places' => 'array',
        'needed_places' => 'array',
        'portions' => 'integer',
        'agree_within_ph' => 'float',
        'low_c' => 'float',
        'high_c' => 'float',
        'stage_temperatures' => 'array',
        'matrix_bound_ph' => 'float',
        'settle_window_s' => 'integer',
    ];

    public function rules(Stage $stage): MethodRules
    {
        $own = $this->stage_temperatures[$stage->value] ?? null;
        [$low, $high] = is_array($own) ? [(float) $own[0], (float) $own[1]] : [$this->low_c, $this->high_c];

        return new MethodRules($this->portions, $this->agree_within_ph, $low, $high, $this->matrix_bound_ph);
    }

    /** @return list<string> */
    public function neededPlaces(): array
    {
        return array_values(array_filter($this->needed_places, is_string(...)));
    }
}
