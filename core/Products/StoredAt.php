<?php

declare(strict_types=1);

namespace Rheacid\Core\Products;

use Rheacid\Core\Limits\LimitKind;
use Rheacid\Core\Limits\ProductLimit;
use Rheacid\Core\Measurands\Measurand;
use Rheacid\Core\Numbers;

/** Where a product is kept. */
enum StoredAt: string
{
    case Room = 'room';
    case Cold = 'cold';
    case Frozen = 'frozen';

    /** Below this pH, or at this water activity, Clostridium botulinum does not grow: 21 CFR 114.3, 113.3 (from memory). */
    private const ACID_PH = 4.6;
    private const DRY = 0.85;

    public function words(): string
    {
        return match ($this) {
            self::Room => 'at room temperature',
            self::Cold => 'cold',
            self::Frozen => 'frozen',
        };
    }

    /**
     * Whether it is low in acid, in an airtight package at room temperature: nothing here judges that without the reference of a
     * process authority.
     *
     * @param list<ProductLimit> $limits
     */
    public function needsAuthority(bool $isAirtight, array $limits): bool
    {
        if ($this !== self::Room || !$isAirtight) {
            return false;
        }
        foreach ($limits as $limit) {
            $most = match ($limit->measurand) {
                Measurand::Ph->value => self::ACID_PH,
                Measurand::WaterActivity->value => self::DRY,
                default => null,
            };
            if (
                $most !== null
                && $limit->limit->kind === LimitKind::Critical
                && $limit->limit->high !== null
                && Numbers::atMost($limit->limit->high, $most)
            ) {
                return false;
            }
        }

        return true;
    }
}
