<?php

declare(strict_types=1);

namespace Rheacid\Core\Limits;

use Rheacid\Core\Numbers;

/** A limit of a product: on what quantity it is, and when it is due. */
final readonly class ProductLimit
{
    public const START = 'start';
    /** What is asked where a product has several routes and a batch has taken none yet. */
    public const ROUTE = 'its route is chosen';

    /**
     * @param string $measurand code of the quantity, and on what basis it is told: a limit is never judged on another
     * @param float|null $hours with WithinHours: the deadline, counted from the step `since`
     * @param string|null $unit code of the unit of acidity in which it was typed; null where that is the one that is judged in
     * @param string|null $typed value and unit as they were typed, where they are judged in another: 10 g/L as lactic
     * @param string|null $condition what must be true for the limit to apply at all
     */
    public function __construct(
        public Limit $limit,
        public Applies $applies = Applies::Always,
        public ?float $hours = null,
        public string $since = self::START,
        public ?string $condition = null,
        public string $measurand = 'ph',
        public string $basis = '',
        public ?string $typed = null,
        public ?string $unit = null,
    ) {}

    public function isOn(Result $result): bool
    {
        return $result->measurand === $this->measurand && $result->basis === $this->basis;
    }

    /** Hours from its step to the occasion; null where it is no deadline, or the step has not begun. */
    public function clock(Occasion $occasion): ?float
    {
        return $this->applies === Applies::WithinHours ? $occasion->hoursSince[$this->since] ?? null : null;
    }

    /** The deadline, h after its step: as a lead has put it off, else as the product has it. */
    public function deadline(Occasion $occasion): float
    {
        return $occasion->disposed[$this->limit->name] ?? (float) $this->hours;
    }

    /** From the deadline on. */
    public function hasCome(Occasion $occasion): bool
    {
        $clock = $this->clock($occasion);

        return $clock !== null && $clock >= 0 && Numbers::atLeast($clock, $this->deadline($occasion));
    }

    /** After the deadline, while none has met it by then. */
    public function isPast(Occasion $occasion): bool
    {
        $clock = $this->clock($occasion);

        return $clock !== null
            && $clock >= 0
            && !Numbers::atMost($clock, $this->deadline($occasion))
            && !in_array($this->limit->name, $occasion->metInTime, true);
    }
}
