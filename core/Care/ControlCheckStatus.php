<?php

declare(strict_types=1);

namespace Rheacid\Core\Care;

use Rheacid\Core\Limits\ReleaseBlock;

/**
 * Whether an independent buffer confirms what was read on a calibration: within two hours and ten samples of it, before or
 * after, and not failed. Common practice, no source.
 */
final readonly class ControlCheckStatus
{
    public const HOURS = 2;
    public const SAMPLES = 10;

    /** @param float|null $errorPh of the check that vouches, the larger where two do; null where none does */
    private function __construct(public ?float $errorPh, private ?ReleaseBlock $block) {}

    /** @param list<ControlCheckFacts> $checks those around the moment that had settled */
    public static function at(\DateTimeImmutable $moment, array $checks): self
    {
        $error = null;
        $isFailed = false;
        foreach ($checks as $check) {
            $isNear
                = $check->at >= $moment->modify('-' . self::HOURS . ' hours')
                && $check->at <= $moment->modify('+' . self::HOURS . ' hours')
                && $check->samplesBetween < self::SAMPLES;
            $isFailed = $isFailed || !$check->passed;
            if ($isNear && $check->passed) {
                $error = max($error ?? 0.0, abs($check->errorPh));
            }
        }

        return match (true) {
            $isFailed => new self(null, ReleaseBlock::ControlCheckFailed),
            $error === null => new self(null, ReleaseBlock::ControlCheckMissing),
            default => new self($error, null),
        };
    }

    public function block(): ?ReleaseBlock
    {
        return $this->block;
    }

    public function vouches(): bool
    {
        return $this->block === null;
    }
}
