<?php

declare(strict_types=1);

namespace Rheacid\Models;

use Illuminate\Database\Eloquent\Collection;
use Illuminate\Database\Eloquent\Model;
use Rheacid\Core\Care\CalibrationInterval;
use Rheacid\Core\Care\IntervalKind;
use Rheacid\Core\Electrode\Criteria;
use Rheacid\Core\Electrode\FitMethod;
use Rheacid\Core\Solutions\BufferFamily;
use Rheacid\Core\Solutions\BufferOrder;

/** What is asked of a pair of meter and electrode, and how often. A changed policy is a new version. */
final class Policy extends Model
{
    use Sealed;

    protected $casts = [
        'version' => 'integer',
        'slope_low_percent' => 'float',
        'slope_high_percent' => 'float',
        'zero_point_ph' => 'float',
        'offset_mv' => 'float',
        'response_time_s' => 'float',
        'residual_ph' => 'float',
        'read_back_limit_ph' => 'float',
        'interval_kind' => IntervalKind::class,
        'interval_count' => 'integer',
        'buffer_family' => BufferFamily::class,
        'buffer_order' => BufferOrder::class,
        'fit' => FitMethod::class,
        'pooled_sd_ph' => 'float',
        'said_proves' => 'boolean',
    ];

    public function interval(): CalibrationInterval
    {
        return new CalibrationInterval($this->interval_kind, $this->interval_count);
    }

    /** @return Collection<int, self> the newest version of each */
    public static function newest(): Collection
    {
        return self::query()->orderBy('id')->get()->keyBy('code')->values();
    }

    public function criteria(): Criteria
    {
        return new Criteria(
            $this->slope_low_percent,
            $this->slope_high_percent,
            $this->zero_point_ph,
            $this->offset_mv,
            $this->response_time_s,
            $this->residual_ph,
        );
    }
}
