<?php

declare(strict_types=1);

namespace Rheacid\Models;

use Illuminate\Database\Eloquent\Model;

/** That all cups of a coded round were drawn, when, and how they were kept since. */
final class RoundDrawing extends Model
{
    use Sealed;

    protected $casts = ['drawn_at' => 'datetime', 'chilled' => 'boolean', 'at' => 'datetime'];
}
