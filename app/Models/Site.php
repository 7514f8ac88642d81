<?php

declare(strict_types=1);

namespace Rheacid\Models;

use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Rheacid\Core\Measuring\Source;
use Rheacid\Site\Settings;

/**
 * The site as it was founded: its name, whether it is the demo, and the person that stands for it.
 *
 * @property-read Person $person
 */
final class Site extends Model
{
    use Sealed;

    protected $casts = ['is_demo' => 'boolean', 'at' => 'datetime'];

    /** @return BelongsTo<Person, $this> */
    public function person(): BelongsTo
    {
        return $this->belongsTo(Person::class);
    }

    public static function current(): ?self
    {
        return self::query()->orderBy('id')->first();
    }

    public static function isDemo(): bool
    {
        return Settings::now()->isDemo;
    }

    /** @return non-empty-list<Source> whose numbers are evidence: those of the simulated bench in the demo only */
    public static function evidence(): array
    {
        return self::isDemo() ? Source::cases() : [Source::Typed, Source::Imported];
    }
}
