<?php

declare(strict_types=1);

namespace Rheacid\Models;

use Illuminate\Database\Eloquent\Model;
use Rheacid\Records\Kept;

/** What a titrated result rests on. */
final class Titration extends Model
{
    use Kept;

    protected $casts = [
        'curve' => 'array',
    ];

    /** @return list<string> */
    public function largeColumns(): array
    {
        return ['curve'];
    }
}
