<?php

declare(strict_types=1);

namespace Rheacid\Models;

use Illuminate\Database\Eloquent\Model;
use Rheacid\Core\Electrode\Criteria;
use Rheacid\Records\Kept;

/** What is asked of a pair of meter and electrode, and how often. A changed policy is a new version. */
final class Policy extends Model
{
    use Kept;

    protected $casts = [
        'version' => 'integer',
        'slope_low_percent' => 'float',
        'slope_high_percent' => 'float',
        'zero_point_ph' => 'float',
        'offset_mv' => 'float',
        'response_s' => 'float',
        'residual_ph' => 'float',
        'read_back_limit_ph' => 'float',
        'calibrate_every_hours' => 'integer',
        'pooled_sd_ph' => 'float',
    ];

    public function criteria(): Criteria
    {
        return new Criteria($this->slope_low_percent, $this->slope_high_percent, $this->zero_point_ph, $this->offset_mv, $this->response_s, $this->residual_ph);
    }
}
