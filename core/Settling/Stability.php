<?php

declare(strict_types=1);

namespace Rheacid\Core\Settling;

use Rheacid\Core\Numbers;

/** How it is known of a typed reading that it stood still. */
enum Stability: string
{
    /** The number was typed and looked at for the whole window: it was still the same. */
    case Watched = 'watched';

    /** It stood before it was typed: that is somebody's word. */
    case Said = 'said';

    /**
     * @param bool $isSaid somebody says that it stood before it was typed
     * @param float|null $watchedS seconds for which the typed number was looked at; null where nobody counted
     *
     * @return self|null null where nothing says that it stood still
     */
    public static function of(bool $isSaid, ?float $watchedS, float $windowS): ?self
    {
        return match (true) {
            $watchedS !== null && Numbers::atLeast($watchedS, $windowS) => self::Watched,
            $isSaid => self::Said,
            default => null,
        };
    }
}
